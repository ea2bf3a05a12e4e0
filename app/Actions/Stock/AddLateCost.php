<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Move;
use KeepPace\Core\Costing\SpreadBy;
use KeepPace\Core\Refused;

/** A cost of goods that is known only after they came in: freight, duty, a corrected price (IAS 2.10-11). */
final class AddLateCost
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $bookingId  of goods in
     * @param  int  $cents  below zero for a credit
     *
     * @throws Refused when it is no delivery that stands, or the goods do not say by what it is to be spread
     */
    public function handle(int $bookingId, int $cents, Signed $signed, SpreadBy $by = SpreadBy::Value): Booking
    {
        return $this->bookings->once(
            BookingKind::LateCost,
            $signed,
            new Part($this->needs($bookingId), function (Ledger $ledger, Held $held) use ($cents, $by): void {
                $receipt = $held->booking();
                $received = $receipt->isGoodsIn() ? Receipts::ofBooking($receipt->id) : [];
                if ($received === []) {
                    throw Refused::because('A late cost belongs to goods that came in and were not sent back.');
                }
                if ($cents === 0) {
                    throw Refused::because('Type the amount of the cost, with a minus for a credit.', 'amount');
                }
                $shares = SpreadOver::receipts($cents, $by, $received);
                $toStock = (new LaterValue($ledger, array_column($shares, 0)))->add(array_column($shares, 1));
                $euros = Said::euros(...);
                $ledger->says(
                    "{$euros($cents)} € late cost of booking {$receipt->id}, {$by->label()}: "
                        ."{$euros($toStock)} to stock, {$euros($cents - $toStock)} variance.",
                );
            }),
        );
    }

    private function needs(int $bookingId): Needs
    {
        $moves = Move::query()->where('booking_id', $bookingId);

        return Needs::booking($bookingId)
            ->and(Needs::orders(Receipts::intoOrders($moves)))
            ->and(Needs::items($moves->pluck('item_id')));
    }
}
