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
use App\Models\Cover;
use App\Models\CustomerOrderLine;
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
        return $this->bookings->once(BookingKind::Cover, $signed, new Part(
            $this->needsOf($lineId, $orderId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lineId, $orderId, $quantity),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $lineId, int $orderId, string $quantity): void
    {
        $order = $held->order($orderId);
        $line = CustomerOrderLine::query()->with('item.unit', 'item.units.unit')->findOrFail($lineId);
        $amount = $line->item->quantity($quantity)->amount;
        $free = $order
            ->willGive()
            ->minus($order->received())
            ->minus((string) $order->covers()->sum('quantity'));
        $uncovered = $line->openQuantity()->minus((string) $line->covers()->sum('quantity'));
        if ($order->item_id !== $line->item_id || ! $order->state->isOpen()) {
            throw CoverRefused::makesOther($order->number, $line->item->label());
        }
        $limits = ["order {$order->number}" => $free, "line {$line->position}" => $uncovered];
        foreach ($limits as $where => $limit) {
            if ($amount->isGreaterThan($limit)) {
                throw CoverRefused::promised($amount, $limit, $where);
            }
        }
        $ledger->covers->add($line, $order, $amount);
        $ledger->concerns($order, $held->customerOrder($line->customer_order_id));
        $ledger->says("{$line->label()} gets ".Amount::plain($amount)." from order {$order->number}.");
    }

    private function needsOf(int $lineId, int $orderId): Needs
    {
        $line = CustomerOrderLine::query()->findOrFail($lineId);

        return Needs::customerOrders([$line->customer_order_id])->and(Needs::orders([$orderId]));
    }

    /** A cover is guarded by its supply: its order, or the stock of the item. */
    private function needs(int $coverId): Needs
    {
        $cover = Cover::query()->with('line')->findOrFail($coverId);
        $supply = $cover->order_id === null ? Needs::items([$cover->item_id]) : Needs::orders([$cover->order_id]);

        return Needs::customerOrders([$cover->line->customer_order_id])->and($supply);
    }

    /** @throws Refused when nothing is left to untie */
    public function untie(int $coverId, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Cover,
            $signed,
            new Part($this->needs($coverId), function (Ledger $ledger, Held $held) use ($coverId, $signed): void {
                $cover = Cover::query()->with('line.customerOrder')->findOrFail($coverId);
                $order = $cover->order_id === null ? null : $held->order($cover->order_id);
                $was = BigDecimal::of($cover->quantity);
                if ($was->isZero()) {
                    throw CoverRefused::untied();
                }
                $ledger->covers->change($cover, $was->negated());
                $ledger->concerns($order, $held->customerOrder($cover->line->customer_order_id));
                $ledger->says(
                    "{$cover->line->label()} untied from "
                        .($order === null ? 'stock' : "order {$order->number}")
                        .': '
                        .Amount::plain($was)
                        .". {$signed->reason}",
                );
            }),
        );
    }
}
