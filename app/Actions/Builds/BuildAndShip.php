<?php

namespace App\Actions\Builds;

use App\Actions\Demand\ShipReceived;
use App\Books\Bookings;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Refused;

/** What was built for a customer line goes with the same booking: a shipment that books the build. */
final class BuildAndShip
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly BookBuild $build,
        private readonly ShipReceived $ship,
    ) {
    }

    /** @throws Refused where the build, or the shipment, is: nothing of either stands then */
    public function handle(int $order, TypedBuild $typed, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Ship,
            $signed,
            $this->build->part($typed, $signed),
            $this->ship->part($order),
        );
    }
}
