<?php

namespace App\Actions\Purchasing;

use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Shop\Away;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Refused;

/** What is ordered of the work of a step and has not come is given up: it is done elsewhere from now on. */
final class WorkGivenUp
{
    public static function needs(OrderStep $step): Needs
    {
        return Needs::orders([$step->order_id])
            ->and(Needs::purchaseOrders(self::lines($step->id)->pluck('purchase_order_id')));
    }

    /** @throws Refused while pieces are with its supplier */
    public static function assertNoneThere(OrderStep $step): void
    {
        $there = Away::pieces($step->id);
        if ($there->isPositive()) {
            throw OutsideRefused::haveThemBack($there, $step->label(), (string) $step->supplier?->name);
        }
    }

    /** @return bool whether anything was ordered of it */
    public static function write(Ledger $ledger, Held $held, OrderStep $step): bool
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

    /** @return Builder<PurchaseLine> of its work that are not done, drafted or sent */
    private static function lines(int $step): Builder
    {
        return PurchaseLine::query()
            ->where('order_step_id', $step)
            ->whereRaw('(is_open OR (is_draft AND quantity > cancelled_quantity))')
            ->orderBy('id');
    }
}
