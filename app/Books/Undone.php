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

    /** @param  Collection<int, Move>  $moves */
    public static function lines(Booking $booking, Collection $moves): self
    {
        return new self($booking, $moves, false);
    }
}
