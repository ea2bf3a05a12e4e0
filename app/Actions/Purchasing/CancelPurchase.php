<?php

namespace App\Actions\Purchasing;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseOrder;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Refused;

/** Gives up all of a purchase order that has not come. */
final class CancelPurchase
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /** @throws Refused when nothing of it is to come */
    public function handle(int $id, int $version, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::Cancel,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($signed): string {
                self::giveUp($order);

                return "Purchase {$order->number} of {$order->supplier->name} is cancelled: {$signed->reason}";
            },
        );
    }

    /** What is open of each line is no longer wanted. */
    public static function giveUp(PurchaseOrder $order): void
    {
        foreach ($order->lines()->get() as $line) {
            $open = $line->wanted()->minus($line->received_quantity);
            if ($open->isPositive()) {
                $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)->plus($open);
                $line->fill(['answered_quantity' => null, 'answered_price' => null])->save();
            }
        }
    }
}
