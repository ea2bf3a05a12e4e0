<?php

namespace App\Actions\Purchasing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\OrderCopy;
use App\Actions\Work\WorkGivenUp;
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
use App\Models\Supplier;
use App\Shop\Services;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;

/**
 * The work of a step is done by another supplier, on that one's terms, or by one though it was to be done here. What is
 * ordered of the first and has not come is given up there, and put on a draft to the other.
 */
final class WorkElsewhere
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws Refused when pieces are with the first, and when a step here is begun or names no service of his
     */
    public function handle(int $stepId, int $version, int $supplier, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::OrderChanged, $signed, new Part(
            fn (): Needs => self::needs($stepId, $supplier),
            function (Ledger $ledger, Held $held) use ($stepId, $version, $supplier): void {
                $step = OrderStep::query()->with('supplier', 'workCentre')->findOrFail($stepId);
                $order = $held->order($step->order_id)->load('item');
                ChangedMeanwhile::check($order, $version);
                $order->assertMay(OrderDeed::Change);
                $to = Supplier::query()->findOrFail($supplier);
                self::assertCan($step, $to);
                // what goes out of a released order is ordered with it: else it would be forgotten
                $isOrdered = WorkGivenUp::ofStep($ledger, $step)
                    || (! $step->isOutside() && $order->released_at !== null);
                $said = $this->move($ledger, $order, $step, $to);
                $ledger->concerns($order);
                $ledger->says($said.($isOrdered ? self::ordered($ledger, $held, $order, $step) : ''));
            },
        ));
    }

    private static function needs(int $stepId, int $supplier): Needs
    {
        $step = OrderStep::query()->findOrFail($stepId);
        $there = new LineToBuy(0, '0', supplier: $supplier);

        return WorkGivenUp::needsOfStep($step)
            ->and(Needs::purchaseOrders(NewPurchases::newest([$there], true, PurchaseKind::Service)));
    }

    /** @throws Refused */
    private static function assertCan(OrderStep $step, Supplier $to): void
    {
        match (true) {
            $to->retired_at !== null => throw PurchaseRefused::retired($to->name),
            $step->supplier_id === $to->id => throw OutsideRefused::alreadyThere($to->name, $step->label()),
            ! $step->isOutside() => self::assertCanGo($step, $to),
            default => WorkGivenUp::assertNoneThere($step),
        };
    }

    /**
     * From a work centre of ours: its routing says by which service, and nothing was done at it yet.
     *
     * @throws Refused
     */
    private static function assertCanGo(OrderStep $step, Supplier $to): void
    {
        if ($step->service_item_id === null) {
            throw StepRefused::noServiceFor($step->label());
        }
        if (Services::of([$step->service_item_id])->at($step->service_item_id, $to->id)?->service() === null) {
            $service = (string) Item::query()->find($step->service_item_id)?->label();
            throw OutsideRefused::noPrice($to->name, $service, $step->label());
        }
        if ($step->started_at !== null || ! $step->pieces()->isUncounted()) {
            throw StepRefused::begunHere($step->label());
        }
        if ($step->sharedSetup() !== null) {
            throw StepRefused::setUpWithOthers($step->label());
        }
    }

    private function move(Ledger $ledger, Order $order, OrderStep $step, Supplier $to): string
    {
        $quantity = BigDecimal::of($order->quantity);
        $columns = Services::of([$step->service_item_id])->columns($step->service_item_id, $to->id, $quantity);
        $was = $step->isOutside() ? (string) $step->supplier?->name : (string) $step->workCentre?->name;
        $ledger->change($order, "step {$step->number}, where", $was, $to->name);
        $hereWas = ! $step->isOutside();
        self::rememberHere($step);
        DB::table('plan_pins')->where('order_step_id', $step->id)->delete();
        $step->fill(['supplier_id' => $to->id, 'work_centre_id' => null, ...$columns]);
        $step->planned_minutes = $this->copy->minutes($step, $quantity);
        $step->save();

        return "{$order->number} {$step->label()} is done by {$to->name}, not ".($hereWas ? 'here' : "by {$was}")
            .(isset($columns['price'])
                ? ', on the terms agreed there.'
                : ', at the price and in the days of the step.');
    }

    /** Where it could have been done here is a way back. */
    private static function rememberHere(OrderStep $step): void
    {
        $step->work_centre_id === null ?: DB::table('order_step_ways')->insertOrIgnore([
            'order_step_id' => $step->id,
            'work_centre_id' => $step->work_centre_id,
            'percent' => 100,
        ]);
    }

    /** @throws Refused when the other has no price for it */
    private static function ordered(Ledger $ledger, Held $held, Order $order, OrderStep $step): string
    {
        $new = new NewPurchases($ledger, true, PurchaseKind::Service);
        $drafts = NewPurchases::newest(
            [new LineToBuy(0, '0', supplier: $step->supplier_id)],
            true,
            PurchaseKind::Service,
        );
        $open = array_map($held->purchaseOrder(...), $drafts);
        $said = $new->write([OrderWork::line($order, $step)], array_column($open, null, 'supplier_id'));

        return ' Its work: '.implode('; ', $said).'.';
    }
}
