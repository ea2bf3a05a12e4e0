<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Refused;

/** Books bought goods into stock, against an open purchase or without one. */
final class GoodsIn
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(Arrival $arrival, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::GoodsIn, $signed, new Part(
            fn (): Needs => Arrivals::needs([$arrival]),
            function (Ledger $ledger, Held $held) use ($arrival): void {
                array_map($ledger->says(...), Arrivals::write($ledger, $held, Arrived::all($arrival)));
            },
        ));
    }
}
