<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\Move;
use Illuminate\Database\Eloquent\Collection;

/** An earlier booking that is being taken back: the whole of it, or some of its lines. */
final readonly class Undone
{
    /** @param  Collection<int, Move>  $moves  those to take back */
    private function __construct(public Booking $booking, public Collection $moves, public bool $isWhole)
    {
    }

    /** All of it that was not taken back before, line by line. */
    public static function whole(Booking $booking): self
    {
        $moves = Move::query()->where('booking_id', $booking->id)->whereDoesntHave('reversedBy')->orderBy('id')->get();

        return new self($booking, $moves, true);
    }

    /** All its lines of that item are taken back, now or before. */
    public function isWholeOf(int $item): bool
    {
        return $this->isWhole
            || Move::query()
                ->where('booking_id', $this->booking->id)
                ->where('item_id', $item)
                ->whereKeyNot($this->moves->modelKeys())
                ->whereDoesntHave('reversedBy')
                ->doesntExist();
    }

    /** Some of what came on a purchase line goes back, and some of it stays. */
    public function parts(int $purchaseLine): bool
    {
        $stays = Move::query()
            ->where('booking_id', $this->booking->id)
            ->where('purchase_line_id', $purchaseLine)
            ->where('quantity', '>', 0)
            ->whereKeyNot($this->moves->modelKeys())
            ->whereDoesntHave('reversedBy');

        return ! $this->isWhole
            && $this->moves->contains('purchase_line_id', $purchaseLine)
            && $stays->exists();
    }

    /** @param  Collection<int, Move>  $moves */
    public static function lines(Booking $booking, Collection $moves): self
    {
        return new self($booking, $moves, false);
    }
}
