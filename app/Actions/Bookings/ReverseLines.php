<?php

namespace App\Actions\Bookings;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Reversal;
use App\Books\Signed;
use App\Books\Undone;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Move;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Refused;

/** Takes back some lines of a booking whose lines stand by themselves; the rest of it stays. */
final class ReverseLines
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<int>  $moveIds
     *
     * @throws Refused
     */
    public function handle(int $bookingId, array $moveIds, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::LinesReversed, $signed, new Part(
            fn (Ledger $ledger): Needs => Reversal::needs($ledger, self::undone($bookingId, $moveIds)),
            function (Ledger $ledger, Held $held) use ($moveIds): void {
                $booking = $held->booking();
                $this->assertHasLines($booking);
                $undone = self::undone($booking->id, $moveIds);
                $this->assertStand($undone->moves);
                Reversal::write($ledger, $held, $undone);
                $count = $undone->moves->where('quantity', '>', 0)->count();
                $ledger->says(
                    ($count === 1 ? '1 line' : "{$count} lines")
                        ." reversed of booking {$booking->id}: {$booking->says}",
                );
            },
        ));
    }

    /** @throws Refused */
    private function assertHasLines(Booking $booking): void
    {
        if (! $booking->kind->hasLines()) {
            throw Refused::because(
                "The lines of '{$booking->kind->label()}' hang together. Reverse the whole booking.",
            );
        }
        if (Booking::query()->where('reverses_id', $booking->id)->exists()) {
            throw Refused::because('The whole booking was reversed meanwhile.');
        }
    }

    /**
     * @param  Collection<int, Move>  $moves
     *
     * @throws Refused
     */
    private function assertStand(Collection $moves): void
    {
        if ($moves->isEmpty()) {
            throw Refused::because('No line was chosen. Tick the lines to take back.');
        }
        if (Move::query()->whereIn('reverses_id', $moves->modelKeys())->exists()) {
            throw Refused::because('One of these lines was taken back already.');
        }
    }

    /**
     * The lines; with standard cost the variance of a receipt goes with it.
     *
     * @param  list<int>  $ids
     */
    private static function undone(int $bookingId, array $ids): Undone
    {
        $booking = Booking::query()->findOrFail($bookingId);
        $moves = Move::query()->where('booking_id', $booking->id)->whereKey($ids)->orderBy('id')->get();
        $variance = $moves->isEmpty() ? [] : Move::query()
            ->where('booking_id', $booking->id)
            ->where('quantity', 0)
            ->whereIn('item_id', $moves->pluck('item_id'))
            ->whereIn('lot_id', $moves->pluck('lot_id'))
            ->whereNotIn('id', Move::query()->whereNotNull('reverses_id')->select('reverses_id'))
            ->pluck('id')
            ->all();

        return Undone::lines(
            $booking,
            Move::query()->whereKey([...$moves->modelKeys(), ...$variance])->orderBy('id')->get(),
        );
    }
}
