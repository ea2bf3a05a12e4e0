<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Order;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\Amount;

/**
 * Work ordered for pieces that no longer come to it, as they were scrapped before or their order has ended: nobody
 * waits for it any more.
 */
final class WorkLeft
{
    public static function needs(int $order): Needs
    {
        return Needs::purchaseOrders(self::lines($order)->pluck('purchase_order_id'));
    }

    /** @return string what was given up, in a sentence; '' = nothing */
    public static function giveUp(Ledger $ledger, Order $order): string
    {
        $left = [];
        $isSent = false;
        foreach (self::lines($order->id)->with('item.unit')->get() as $line) {
            $head = $ledger->held()->purchaseOrder($line->purchase_order_id);
            $open = $line->wanted()->minus($line->received_quantity);
            $left[] = Amount::plain($open)." {$line->item->unit->code} on {$line->number}";
            $isSent = $isSent || in_array($head->state, PurchaseState::COMING, true);
            $ledger->records->change($line, [
                'cancelled_quantity' => (string) BigDecimal::of($line->cancelled_quantity)
                    ->plus($open)
                    ->toScale(6, RoundingMode::UNNECESSARY),
                'answered_quantity' => null,
                'answered_price' => null,
            ]);
            $head->hasChanged();
            $ledger->concernsPurchase($head);
        }

        return $left === []
            ? ''
            : 'Its work is no longer waited for: '.implode(', ', $left).($isSent ? '; tell who does it.' : '.');
    }

    /** @return Builder<PurchaseLine> sent and not done, or drafted */
    private static function lines(int $order): Builder
    {
        return PurchaseLine::query()
            ->where('cost_order_id', $order)
            ->whereNotNull('order_step_id')
            ->whereRaw('(is_open OR (is_draft AND quantity > cancelled_quantity))')
            ->orderBy('id');
    }
}
