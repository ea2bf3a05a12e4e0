<?php

namespace App\Actions\Purchasing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\OrderCopy;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Models\Supplier;
use App\Shop\Away;
use App\Shop\Services;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Purchasing\PurchaseKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;

/**
 * The work of a step is done by another supplier, on that one's terms. What is ordered of the first and has not come is
 * given up there, and put on a draft to the other.
 */
final class WorkElsewhere
{
    public function __construct(private readonly Bookings $bookings, private readonly OrderCopy $copy)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws Refused when pieces are with the first, and when the step is not done outside
     */
    public function handle(int $stepId, int $version, int $supplier, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::OrderChanged, $signed, new Part(
            fn (): Needs => self::needs($stepId, $supplier),
            function (Ledger $ledger, Held $held) use ($stepId, $version, $supplier): void {
                $step = OrderStep::query()->with('supplier')->findOrFail($stepId);
                $order = $held->order($step->order_id)->load('item');
                ChangedMeanwhile::check($order, $version);
                $order->assertMay(OrderDeed::Change);
                $to = Supplier::query()->findOrFail($supplier);
                self::assertCan($step, $to);
                $wasOrdered = self::giveUp($ledger, $held, $step);
                $said = $this->move($ledger, $order, $step, $to);
                $ledger->concerns($order);
                $ledger->says($said.($wasOrdered ? self::ordered($ledger, $held, $order, $step) : ''));
            },
        ));
    }

    private static function needs(int $stepId, int $supplier): Needs
    {
        $step = OrderStep::query()->findOrFail($stepId);
        $there = new LineToBuy(0, '0', supplier: $supplier);

        return Needs::orders([$step->order_id])
            ->and(Needs::purchaseOrders(self::lines($stepId)->pluck('purchase_order_id')))
            ->and(Needs::purchaseOrders(NewPurchases::newest([$there], true, PurchaseKind::Service)));
    }

    /** @throws Refused */
    private static function assertCan(OrderStep $step, Supplier $to): void
    {
        $away = Away::pieces($step->id);
        match (true) {
            ! $step->isOutside() => throw OrderRefused::elsewhere($step->label(), false),
            $to->retired_at !== null => throw PurchaseRefused::retired($to->name),
            $step->supplier_id === $to->id => throw OutsideRefused::alreadyThere($to->name, $step->label()),
            $away->isPositive() => throw OutsideRefused::haveThemBack(
                $away,
                $step->label(),
                (string) $step->supplier?->name,
            ),
            default => null,
        };
    }

    /** @return bool whether anything was ordered of it */
    private static function giveUp(Ledger $ledger, Held $held, OrderStep $step): bool
    {
        $lines = self::lines($step->id)->get();
        foreach ($lines as $line) {
            $purchase = $held->purchaseOrder($line->purchase_order_id);
            $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)
                ->plus($line->wanted()->minus($line->received_quantity));
            $line->fill(['answered_quantity' => null, 'answered_price' => null])->save();
            $purchase->hasChanged();
            GatheredPrice::settle($purchase);
            $ledger->concernsPurchase($purchase);
        }

        return $lines->isNotEmpty();
    }

    private function move(Ledger $ledger, Order $order, OrderStep $step, Supplier $to): string
    {
        $quantity = BigDecimal::of($order->quantity);
        $columns = Services::of([$step->service_item_id])->columns($step->service_item_id, $to->id, $quantity);
        $was = (string) $step->supplier?->name;
        $ledger->change($order, "step {$step->number}, supplier", $was, $to->name);
        $step->fill(['supplier_id' => $to->id, ...$columns]);
        $step->planned_minutes = $this->copy->minutes($step, $quantity);
        $step->save();

        return "{$order->number} {$step->label()} is done by {$to->name}, not by {$was}"
            .(isset($columns['price'])
                ? ', on the terms agreed there.'
                : ', at the price and in the days of the step.');
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

    /** @return Builder<PurchaseLine> of its work that are not done, drafted or sent */
    private static function lines(int $step): Builder
    {
        return PurchaseLine::query()
            ->where('order_step_id', $step)
            ->whereRaw('(is_open OR (is_draft AND quantity > cancelled_quantity))')
            ->orderBy('id');
    }
}
