<?php

namespace App\Actions\Stock;

use App\Books\AsTyped;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Lot;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;

/** Writes what came in, one thing or a whole delivery, within a deed. */
final class Arrivals
{
    /** @param  list<Arrival>  $arrivals */
    public static function needs(array $arrivals): Needs
    {
        $lines = array_filter(array_map(fn (Arrival $one): ?int => $one->purchaseId, $arrivals));

        $bought = PurchaseLine::query()->whereKey($lines)->get();

        return Needs::purchaseOrders($bought->pluck('purchase_order_id'))
            ->and(Needs::orders($bought->pluck('cost_order_id')))
            ->and(Needs::items(array_map(fn (Arrival $one): int => $one->itemId, $arrivals)));
    }

    /**
     * All balances are locked before the first is written. Of what is beyond what is taken the typed figure stands with
     * the part that is taken.
     *
     * @param  list<Arrived>  $all
     * @return list<string> what came in, a sentence each
     *
     * @throws Refused
     */
    public static function write(Ledger $ledger, Held $held, array $all): array
    {
        $ledger->stock->read(array_merge([], ...array_map(fn (Arrived $one): array => $one->keys(), $all)));

        return array_map(fn (Arrived $one): string => self::one($ledger, $held, $one), $all);
    }

    private static function one(Ledger $ledger, Held $held, Arrived $one): string
    {
        TrackedCodes::assertSerialsAreNew($one->item, $one->lots);
        TrackedCodes::dated($one->lots, $one->arrival->expiresOn, $one->arrival->supplierLot);
        $one->item->kind->isCounted() ? self::into($ledger, $one) : self::used($ledger, $held, $one);
        $kept = $one->purchase === null ? [] : self::onPurchase($ledger, $held, $one, $one->purchase);
        if ($one->isOver && $one->purchase !== null) {
            return self::over($ledger, $one, $one->purchase);
        }

        return self::says($one, $kept);
    }

    /** A customer's own material has no value here. */
    private static function into(Ledger $ledger, Arrived $one): void
    {
        $total = $one->arrival->owner === 0 ? Cents::of($one->amount, $one->arrival->price) : 0;
        $shares = Cents::running($total, array_column($one->lots, 'quantity'), $one->amount);
        $keys = $one->keys();
        foreach ($one->lots as $i => $lot) {
            $ledger->moves->move(
                $one->item,
                $lot['quantity'],
                $shares[$i],
                End::outside($one->arrival->purchaseId),
                End::stock($keys[$i]),
                $i === 0 && ! $one->isOver ? self::typed($one) : null,
            );
        }
    }

    /** What is not counted goes into the cost of the order it is bought for, or of the shop. */
    private static function used(Ledger $ledger, Held $held, Arrived $one): void
    {
        $purchase = $one->purchase;
        $order = $purchase?->cost_order_id === null ? null : $held->order($purchase->cost_order_id);
        $order = $order?->state->takesCost() === true ? $order : null;
        $into = $order === null || $purchase === null ? End::used() : End::costOf($order->id, $purchase->id);
        $cents = Cents::of($one->amount, $one->arrival->price);
        $from = End::outside($one->arrival->purchaseId);
        $ledger->moves->move($one->item, $one->amount, $cents, $from, $into, self::typed($one));
        if ($order !== null) {
            $ledger->costs->add($order, CostKind::Bought, $cents);
            $ledger->concerns($order);
        }
    }

    /** Kept with the first of its moves. */
    private static function typed(Arrived $one): AsTyped
    {
        $quantity = $one->arrival->quantity;

        return new AsTyped($quantity->amount, TrackedCodes::unitId($one->item, $quantity->unit));
    }

    /** @return list<string> for whom it is kept */
    private static function onPurchase(Ledger $ledger, Held $held, Arrived $one, PurchaseLine $purchase): array
    {
        $order = $held->purchaseOrder($purchase->purchase_order_id);
        if ($purchase->is_draft) {
            throw PurchaseRefused::neverSent($order->number);
        }
        // another of the same delivery may have come on it before
        $purchase->refresh();
        $purchase->received_quantity = (string) BigDecimal::of($purchase->received_quantity)->plus($one->amount);
        $purchase->save();
        Lot::query()
            ->whereKey(array_filter(array_column($one->lots, 'lot')))
            ->whereNull('supplier_id')
            ->update(['supplier_id' => $order->supplier_id]);
        $ledger->concernsPurchase($order);

        return $one->isUsable() ? $ledger->bought->came($purchase, $one->amount) : [];
    }

    /** The buyer is asked what becomes of it. */
    private static function over(Ledger $ledger, Arrived $one, PurchaseLine $purchase): string
    {
        $more = Amount::plain($one->amount)." {$one->item->unit->code} {$one->item->label()}";
        $ledger->ask->over($purchase, $one->amount, "{$more} more came on {$purchase->number} than is taken of "
            .Amount::plain($purchase->wanted()).' ordered. Take and pay, take unpaid, or give back?');

        return "{$more} more than is taken: blocked, the buyer is asked.";
    }

    /** @param  list<string>  $kept  for whom */
    private static function says(Arrived $one, array $kept): string
    {
        $arrival = $one->arrival;

        return Amount::plain($one->amount)
            ." {$one->item->unit->code} ".($one->purchase?->whatFor() ?? $one->item->label()).' in'
            .($one->purchase === null ? '' : " on {$one->purchase->number}")
            .self::where($one)
            .($one->as === Condition::Free ? '' : ", {$one->as->label()}")
            .($arrival->owner === 0 ? '' : ", the customer's own")
            .($kept === [] ? '' : ': '.implode(', ', $kept))
            .'.';
    }

    private static function where(Arrived $one): string
    {
        $order = $one->purchase?->costOrder;

        return match (true) {
            $one->item->kind->isCounted() => ", to {$one->place->name}",
            $order !== null && $order->state->takesCost() => ", into the cost of order {$order->number}",
            default => ', to be used',
        };
    }
}
