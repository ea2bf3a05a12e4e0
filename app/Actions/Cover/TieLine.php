<?php

namespace App\Actions\Cover;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\PurchaseLine;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Covers a line by what is open already, an order or a purchase, or takes a cover off again with a reason.
 */
final class TieLine
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function toOrder(int $lineId, int $orderId, string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Cover, $signed, new Part(
            $this->needsOf($lineId, $orderId),
            function (Ledger $ledger, Held $held) use ($lineId, $orderId, $quantity): void {
                $order = $held->order($orderId);
                $line = self::line($lineId);
                if ($order->outputOf($line->item_id) === null || ! $order->state->isOpen()) {
                    throw CoverRefused::makesOther($order->number, $line->item->label());
                }
                $gives = $order->unpromisedOf($line->item_id);
                $amount = self::amount($line, $quantity, "order {$order->number}", $gives);
                $ledger->covers->add($line, $order, $amount);
                $ledger->concerns($order, $held->customerOrder($line->customer_order_id));
                $ledger->says("{$line->label()} gets ".Amount::plain($amount)." from order {$order->number}.");
            },
        ));
    }

    /** @throws Refused */
    public function toPurchase(int $lineId, int $purchaseLineId, string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Cover, $signed, new Part(
            Needs::customerOrders([CustomerOrderLine::query()->findOrFail($lineId)->customer_order_id])
                ->and(self::ofPurchase($purchaseLineId)),
            function (Ledger $ledger, Held $held) use ($lineId, $purchaseLineId, $quantity): void {
                $purchase = PurchaseLine::query()->findOrFail($purchaseLineId);
                $line = self::line($lineId);
                if ($purchase->item_id !== $line->item_id) {
                    throw PurchaseRefused::otherItem($purchase->number);
                }
                $amount = self::amount($line, $quantity, $purchase->number, $purchase->unpromised());
                $ledger->bought->forLine($purchase, $line, $amount);
                $ledger->concernsPurchase($held->purchaseOrder($purchase->purchase_order_id));
                $ledger->concerns(customerOrder: $held->customerOrder($line->customer_order_id));
                $ledger->says("{$line->label()} gets ".Amount::plain($amount)." from {$purchase->number}.");
            },
        ));
    }

    private static function ofPurchase(int $line): Needs
    {
        return Needs::purchaseOrders([PurchaseLine::query()->findOrFail($line)->purchase_order_id]);
    }

    private static function line(int $id): CustomerOrderLine
    {
        return CustomerOrderLine::query()->with('item.unit', 'item.units.unit', 'customerOrder')->findOrFail($id);
    }

    /**
     * @param  string  $supply  where it comes from, in words
     * @param  BigDecimal  $gives  what that has for nobody yet
     *
     * @throws Refused when there is not so much, or the line does not want so much
     */
    private static function amount(
        CustomerOrderLine $line,
        string $typed,
        string $supply,
        BigDecimal $gives,
    ): BigDecimal {
        $amount = $line->item->quantity($typed)->amount;
        CoverRefused::beyond($amount, [$supply => $gives, "line {$line->position}" => $line->uncovered()]);

        return $amount;
    }

    private function needsOf(int $lineId, int $orderId): Needs
    {
        $line = CustomerOrderLine::query()->findOrFail($lineId);

        return Needs::customerOrders([$line->customer_order_id])->and(Needs::orders([$orderId]));
    }

    /** A cover is guarded by its supply: its order, its purchase, or the stock of the item. */
    private function needs(int $coverId): Needs
    {
        $cover = self::cover($coverId);
        $supply = match (true) {
            $cover->output !== null => Needs::orders([$cover->output->order_id]),
            $cover->purchase !== null => Needs::purchaseOrders([$cover->purchase->purchase_order_id]),
            default => Needs::items([$cover->item_id]),
        };

        return Needs::customerOrders([$cover->line?->customer_order_id])->and($supply);
    }

    private static function cover(int $id): Tie
    {
        return Tie::query()
            ->with('line.customerOrder', 'output.order', 'purchase.order')
            ->whereNotNull('line_id')
            ->findOrFail($id);
    }

    /** @throws Refused when nothing is left to untie */
    public function untie(int $coverId, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Cover,
            $signed,
            new Part($this->needs($coverId), function (Ledger $ledger, Held $held) use ($coverId, $signed): void {
                $cover = self::cover($coverId);
                $line = $cover->line;
                $order = $cover->output === null ? null : $held->order($cover->output->order_id);
                $purchase = $cover->purchase;
                $was = $cover->left();
                if ($line === null || $was->isZero()) {
                    throw CoverRefused::untied();
                }
                $ledger->ties->change($cover, $was->negated());
                $ledger->concerns($order, $held->customerOrder($line->customer_order_id));
                $purchase === null ?: $ledger->concernsPurchase($held->purchaseOrder($purchase->purchase_order_id));
                $ledger->says(
                    "{$line->label()} untied from {$cover->fromWhat()}: "
                        .Amount::plain($was)
                        .". {$signed->reason}",
                );
            }),
        );
    }
}
