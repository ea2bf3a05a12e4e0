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
use App\Models\Tie;
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
        $free = $order->unpromised();
        $uncovered = $line->openQuantity()->minus($line->covered());
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
        $cover = self::cover($coverId);
        $supply = $cover->output === null ? Needs::items([$cover->item_id]) : Needs::orders([$cover->output->order_id]);

        return Needs::customerOrders([$cover->line?->customer_order_id])->and($supply);
    }

    private static function cover(int $id): Tie
    {
        return Tie::query()->with('line.customerOrder', 'output')->whereNotNull('line_id')->findOrFail($id);
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
                $was = $cover->left();
                if ($line === null || $was->isZero()) {
                    throw CoverRefused::untied();
                }
                $ledger->ties->change($cover, $was->negated());
                $ledger->concerns($order, $held->customerOrder($line->customer_order_id));
                $ledger->says(
                    "{$line->label()} untied from "
                        .($order === null ? 'stock' : "order {$order->number}")
                        .': '
                        .Amount::plain($was)
                        .". {$signed->reason}",
                );
            }),
        );
    }
}
