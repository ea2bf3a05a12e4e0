<?php

namespace App\Actions\Work;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Shop\Away;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Outside\OutsideRefused;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * What is ordered of work and has not come is given up: a step is done elsewhere from now on, or an order has ended and
 * what was scrapped before can no longer come to it.
 */
final class WorkGivenUp
{
    public static function needsOfStep(OrderStep $step): Needs
    {
        return Needs::orders([$step->order_id])->and(self::heads(self::ofStepOnly($step->id)));
    }

    public static function needsOfOrder(int $order): Needs
    {
        return self::heads(self::ofOrderOnly($order));
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
    public static function ofStep(Ledger $ledger, OrderStep $step): bool
    {
        return self::giveUp($ledger, self::ofStepOnly($step->id)) !== [];
    }

    /** @return string what was given up, in a sentence; '' = nothing */
    public static function ofOrder(Ledger $ledger, Order $order): string
    {
        $left = self::giveUp($ledger, self::ofOrderOnly($order->id));
        $isSent = in_array(true, $left, true);

        return $left === [] ? '' : 'Its work is no longer waited for: '.implode(', ', array_keys($left))
            .($isSent ? '; tell who does it.' : '.');
    }

    /**
     * @param  Builder<PurchaseLine>  $lines
     * @return array<string, bool> "1 pc on P-508/1", and whether its supplier knows of it
     */
    private static function giveUp(Ledger $ledger, Builder $lines): array
    {
        $left = [];
        foreach ($lines->with('item.unit')->get() as $line) {
            $head = $ledger->held()->purchaseOrder($line->purchase_order_id);
            $open = $line->wanted()->minus($line->received_quantity);
            $left[Amount::plain($open)." {$line->item->unit->code} on {$line->number}"]
                = in_array($head->state, PurchaseState::COMING, true);
            $ledger->records->change($line, [
                'cancelled_quantity' => (string) BigDecimal::of($line->cancelled_quantity)
                    ->plus($open)
                    ->toScale(6, RoundingMode::UNNECESSARY),
                'answered_quantity' => null,
                'answered_price' => null,
            ]);
            $head->hasChanged();
            GatheredPrice::settle($head);
            $ledger->concernsPurchase($head);
        }

        return $left;
    }

    /** @param  Builder<PurchaseLine>  $lines */
    private static function heads(Builder $lines): Needs
    {
        return Needs::purchaseOrders($lines->pluck('purchase_order_id'));
    }

    /** @return Builder<PurchaseLine> */
    private static function ofStepOnly(int $step): Builder
    {
        return self::lines()->where('order_step_id', $step);
    }

    /** @return Builder<PurchaseLine> */
    private static function ofOrderOnly(int $order): Builder
    {
        return self::lines()->where('cost_order_id', $order)->whereNotNull('order_step_id');
    }

    /** @return Builder<PurchaseLine> that are not done, drafted or sent */
    private static function lines(): Builder
    {
        $lines = PurchaseLine::query();
        $lines->whereRaw('(is_open OR (is_draft AND quantity > cancelled_quantity))')->orderBy('id');

        return $lines;
    }
}
