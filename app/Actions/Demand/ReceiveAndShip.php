<?php

namespace App\Actions\Demand;

use App\Actions\Orders\ReceiveOrder;
use App\Actions\Orders\TypedReceipt;
use App\Books\Bookings;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Refused;

/**
 * Takes good pieces in and sends them straight on to the customer lines they are made for: one deed of two parts.
 * Where the second is refused nothing of the first stands.
 */
final class ReceiveAndShip
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly ReceiveOrder $receive,
        private readonly ShipReceived $ship,
    ) {
    }

    /** @throws Refused */
    public function handle(int $orderId, TypedReceipt $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Ship, $signed, ...$this->parts($orderId, $typed));
    }

    /** @return list<Part> */
    public function parts(int $orderId, TypedReceipt $typed): array
    {
        return [$this->receive->part($orderId, $typed), $this->ship->part($orderId)];
    }
}
