<?php

namespace App\Actions\Purchasing;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\PurchaseOrder;
use App\Models\Supplier;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * What has not come of an order is bought of another supplier: given up here, and put on a draft there at that one's
 * prices, minimum and lead time.
 */
final class OtherSupplier
{
    public function __construct(private readonly PurchaseChange $change)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws Refused when the other does not sell so few, or is who it is ordered of
     */
    public function handle(int $id, int $version, int $supplier, Signed $signed): Booking
    {
        return $this->change->handle(
            $id,
            $version,
            PurchaseDeed::MoveToOther,
            $signed,
            function (Ledger $ledger, PurchaseOrder $order) use ($supplier): string {
                if ($supplier === $order->supplier_id) {
                    throw PurchaseRefused::sameSupplier($order->supplier->name);
                }
                if ($order->kind === PurchaseKind::Service) {
                    throw PurchaseRefused::workStays($order->number);
                }
                $lines = self::open($order, $supplier);
                $to = Supplier::query()->findOrFail($supplier);
                $new = new NewPurchases($ledger, true);
                $said = $new->write($lines, []);
                CancelPurchase::giveUp($order);
                $ledger->concernsPurchase($order);

                return trim(
                    "Purchase {$order->number}: what is open goes to {$to->name}, "
                        .implode('; ', $said).'. '.$new->hint(),
                );
            },
        );
    }

    /** @return list<LineToBuy> what has not come */
    private static function open(PurchaseOrder $order, int $supplier): array
    {
        $lines = [];
        foreach ($order->lines()->with('item')->get() as $line) {
            $open = $line->wanted()->minus($line->received_quantity);
            if ($open->isPositive()) {
                $lines[] = new LineToBuy(
                    $line->item_id,
                    Amount::plain((string) $open),
                    supplier: $supplier,
                    key: (string) $line->id,
                    insteadOf: $line->id,
                    words: $line->words,
                    costOrder: $line->cost_order_id,
                );
            }
        }

        return $lines;
    }
}
