<?php

namespace App\Actions\Billing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Purchasing\BillState;
use KeepPace\Core\Refused;

/** Sends a bill back to the supplier: another can come under its number. */
final class RefuseBill
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when it was accepted or sent back meanwhile */
    public function handle(int $id, int $version, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::BillRefused, $signed, new Part(
            Needs::bill($id),
            function (Ledger $ledger, Held $held) use ($version, $signed): void {
                $bill = $held->bill()->load('supplier');
                ChangedMeanwhile::check($bill, $version);
                if ($bill->state !== BillState::Open) {
                    throw BillRefused::notOpen($bill->number, $bill->state);
                }
                $bill->state = BillState::Refused;
                $bill->note = $signed->reason;
                $ledger->concernsBill($bill);
                $ledger->says("Bill {$bill->number} goes back to {$bill->supplier->name}: {$signed->reason}");
            },
        ));
    }
}
