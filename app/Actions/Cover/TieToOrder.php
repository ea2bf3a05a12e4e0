<?php

namespace App\Actions\Cover;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Cover;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Covers a line by an order that is already open, or takes a cover off again with a reason. */
final class TieToOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function tie(int $lineId, int $orderId, string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Cover, $signed, function (Ledger $ledger) use (
            $lineId,
            $orderId,
            $quantity,
        ): void {
            $customerOrder = CustomerOrder::query()
                ->lockForUpdate()
                ->findOrFail((int) CustomerOrderLine::query()->whereKey($lineId)->value('customer_order_id'));
            $order = Order::query()->lockForUpdate()->findOrFail($orderId);
            $line = CustomerOrderLine::query()->with('item.unit', 'item.units.unit')->findOrFail($lineId);
            $amount = $line->item->quantity($quantity)->amount;
            $free = $order
                ->willGive()
                ->minus($order->received_quantity)
                ->minus((string) $order->covers()->sum('quantity'));
            $uncovered = $line->openQuantity()->minus((string) $line->covers()->sum('quantity'));
            if ($order->item_id !== $line->item_id || ! $order->state->isOpen()) {
                throw CoverRefused::makesOther($order->number, $line->item->label());
            }
            foreach (["order {$order->number}" => $free, "line {$line->position}" => $uncovered] as $where => $limit) {
                if ($amount->isGreaterThan($limit)) {
                    throw CoverRefused::promised($amount, $limit, $where);
                }
            }
            $ledger->cover($line, $order, $amount);
            $ledger->concerns($order, $customerOrder);
            $ledger->says("{$line->label()} gets ".Amount::plain($amount)." from order {$order->number}.");
        });
    }

    /** @throws Refused when nothing is left to untie */
    public function untie(int $coverId, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Cover,
            $signed,
            function (Ledger $ledger) use ($coverId, $signed): void {
                $cover = Cover::query()->with('line.customerOrder')->findOrFail($coverId);
                $customerOrder = CustomerOrder::query()->lockForUpdate()->findOrFail($cover->line->customer_order_id);
                $order =
                    $cover->order_id === null ? null : Order::query()->lockForUpdate()->findOrFail($cover->order_id);
                $order !== null ?: $ledger->stock->lock([$cover->item_id]); // guarded by its supply
                $cover->refresh();
                $was = BigDecimal::of($cover->quantity);
                if ($was->isZero()) {
                    throw CoverRefused::untied();
                }
                $ledger->changeCover($cover, $was->negated());
                $ledger->concerns($order, $customerOrder);
                $ledger->says(
                    "{$cover->line->label()} untied from "
                        .($order === null ? 'stock' : "order {$order->number}")
                        .': '
                        .Amount::plain($was)
                        .". {$signed->reason}",
                );
            },
        );
    }
}
