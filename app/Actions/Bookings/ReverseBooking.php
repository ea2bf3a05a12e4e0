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
use KeepPace\Core\Refused;

/** Books the exact negative of an earlier booking, once; refused when what followed stands on it. */
final class ReverseBooking
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @throws Refused
     */
    public function handle(int $bookingId, Signed $signed): Booking
    {
        $undone = fn (): Undone => Undone::whole(Booking::query()->findOrFail($bookingId));

        return $this->bookings->reversing($bookingId, $signed, new Part(
            fn (Ledger $ledger): Needs => self::needs($ledger, $undone()),
            function (Ledger $ledger, Held $held): void {
                $booking = $held->booking();
                $why = $booking->kind->undo()->whyNotReversed();
                if ($why !== null) {
                    throw Refused::because($why);
                }
                Reversal::write($ledger, $held, Undone::whole($booking));
                $ledger->says("Reversed: {$booking->says}");
            },
        ));
    }

    private static function needs(Ledger $ledger, Undone $undone): Needs
    {
        return Reversal::needs($ledger, $undone)->and(Needs::customerOrders([$undone->booking->customer_order_id]))
            ->and(Needs::orders([$undone->booking->order_id]));
    }
}
