<?php

namespace App\Actions\Combine;

use App\Actions\Orders\OrderCopy;
use App\Actions\Orders\OrderQuantity;
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
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Takes the share of a customer line out of an order that is for several, as long as it is firm: as its own order. */
final class TakeOutOfCombined
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderCopy $copy,
        private readonly OrderQuantity $quantity,
    ) {
    }

    /** @throws Refused when it is released, or for that line alone */
    public function handle(int $coverId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Split, $signed, new Part(
            fn (): Needs => self::needs($coverId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $coverId),
        ));
    }

    private static function needs(int $id): Needs
    {
        $cover = Tie::query()->with('output', 'line')->findOrFail($id);

        return Needs::orders([$cover->output?->order_id])
            ->and(Needs::customerOrders([$cover->line?->customer_order_id]));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $coverId): void
    {
        $cover = Tie::query()->with('output', 'line.customerOrder.customer')->findOrFail($coverId);
        $line = $cover->line;
        $order = $held->order((int) $cover->output?->order_id)->load('item.unit', 'item.units.unit');
        $share = $cover->left();
        if ($line === null || ! $order->state->isFirm()) {
            throw OrderRefused::notTakenOut($order->number, $order->state);
        }
        $rest = BigDecimal::of($order->quantity)->minus($share);
        if ($share->isZero()) {
            throw CoverRefused::untied();
        }
        if (! $rest->isPositive()) {
            throw OrderRefused::forItAlone($order->number);
        }
        $ledger->ties->change($cover, $share->negated());
        $this->quantity->set($ledger, $order, $rest);
        $new = $this->copy->make($ledger, $order->item, $share, self::due($this->copy, $line));
        $ledger->covers->add($line, $new, $share);
        $ledger->concerns($order, $held->customerOrder($line->customer_order_id));
        $ledger->says(
            "{$line->label()} taken out of order {$order->number}: ".Amount::plain($share)
                ." {$order->item->unit->code} are made as order {$new->number}.",
        );
    }

    private static function due(OrderCopy $copy, CustomerOrderLine $line): string
    {
        return $copy->finishBy($line->promised_on, $line->customerOrder->customer->finish_days);
    }
}
