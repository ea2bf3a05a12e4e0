<?php

namespace App\Actions\Purchasing;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\SupplierItem;
use App\Shop\WorkWanted;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Orders the work of steps done outside of their suppliers. Each supplier has one draft on which the work of several
 * orders gathers until it is cut off: sent.
 */
final class OrderWork
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<int>  $ids  of steps
     *
     * @throws Refused with a sentence for each step of which no more is wanted
     */
    public function handle(array $ids, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Purchased, $signed, new Part(
            fn (): Needs => self::needs($ids),
            function (Ledger $ledger, Held $held) use ($ids): void {
                $lines = $wrong = [];
                foreach (OrderStep::query()->whereKey($ids)->orderBy('id')->get() as $step) {
                    try {
                        $lines[] = self::line($held->order($step->order_id)->load('item'), $step);
                    } catch (Refused $refused) {
                        $wrong["steps.{$step->id}"] = $refused->getMessage();
                    }
                }
                if ($wrong !== [] || $lines === []) {
                    throw $wrong === [] ? OutsideRefused::noWork() : new Refused($wrong);
                }
                $new = new NewPurchases($ledger, true, PurchaseKind::Service);
                $said = $new->write($lines, $held->purchaseOrders->keyBy('supplier_id')->all());
                $orders = array_values(array_unique(array_column($lines, 'costOrder')));
                count($orders) === 1 ? $ledger->concerns($held->order((int) $orders[0])) : null;
                $ledger->says('Work for '.implode(', ', array_map(
                    fn (LineToBuy $line): string => $line->words,
                    $lines,
                )).': '.implode('; ', $said).'.');
            },
        ));
    }

    /** @param  list<int>  $ids */
    private static function needs(array $ids): Needs
    {
        $steps = OrderStep::query()->whereKey($ids)->get();
        $lines = array_values($steps->map(
            fn (OrderStep $step): LineToBuy => new LineToBuy(0, '0', supplier: $step->supplier_id),
        )->all());

        return Needs::orders($steps->pluck('order_id'))
            ->and(Needs::purchaseOrders(NewPurchases::newest($lines, true, PurchaseKind::Service)));
    }

    /** @throws Refused when it is not done outside, all of it is ordered, or nobody knows what it costs */
    public static function line(Order $order, OrderStep $step): LineToBuy
    {
        if (! $step->isOutside()) {
            throw StepRefused::elsewhere($step->label(), false);
        }
        if (! $order->state->takesCost()) {
            throw OrderRefused::takesNoCost($order->number, $order->state);
        }
        $wanted = WorkWanted::of($step);
        if (! $wanted->isPositive()) {
            throw OutsideRefused::workIsOrdered("{$order->number} {$step->label()}");
        }

        return new LineToBuy(
            $step->service_item_id ?? WordsItem::of($order->item->unit_id)->id,
            Amount::plain($wanted),
            expectedOn: WorkWanted::backOn($step),
            supplier: $step->supplier_id,
            key: (string) $step->id,
            words: "{$step->name}, order {$order->number}",
            costOrder: $order->id,
            step: $step,
            charge: self::charge($step, $wanted),
        );
    }

    /** @throws Refused when it is a service for which its supplier has no price */
    private static function charge(OrderStep $step, BigDecimal $pieces): ServiceCharge
    {
        if ($step->service_item_id === null) {
            return $step->charge();
        }
        $terms = SupplierItem::of($step->service_item_id, $step->supplier_id)?->service();
        if ($terms === null && BigDecimal::of($step->price)->isZero()) {
            $service = Item::query()->findOrFail($step->service_item_id)->label();
            throw OutsideRefused::noPrice((string) $step->supplier?->name, $service, $step->label());
        }

        return $terms?->chargeFor($pieces) ?? $step->charge();
    }
}
