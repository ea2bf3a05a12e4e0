<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;

/** Pieces an order lost and another makes again. When that makes fewer of them, or none, the first is short again. */
final class MadeAgain
{
    public static function scrapped(Order $order): BigDecimal
    {
        return BigDecimal::of((string) $order->steps()->sum('scrap'));
    }

    /** Pieces it lost that no order makes again. */
    public static function short(Order $order): BigDecimal
    {
        return BigDecimal::max(0, self::scrapped($order)->minus(self::ordered($order->id)));
    }

    /** What a change of it may touch besides: the order whose pieces it makes again. */
    public static function needs(int $id): Needs
    {
        return Needs::orders(Order::query()->whereKey($id)->whereNotNull('remake_of_id')->pluck('remake_of_id'));
    }

    /**
     * An order makes another number of pieces, or none any more: how the other makes up for those it lost is asked
     * again, or not any more.
     *
     * @param  BigDecimal  $now  zero when it is cancelled
     * @return string what is asked of whom, beginning with a space; '' = nothing changes for another order
     */
    public static function follow(Ledger $ledger, Order $remake, BigDecimal $before, BigDecimal $now): string
    {
        if ($remake->remake_of_id === null || $now->isEqualTo($before)) {
            return '';
        }
        $order = $ledger->held()->order($remake->remake_of_id);
        if (! $order->state->isOpen()) {
            return '';
        }
        if ($now->isGreaterThan($before)) {
            $ledger->questions->cured($order, $now->minus($before), Cure::Remake->label());
            $ledger->touch($order);

            return '';
        }

        return self::askAgain($ledger, $remake, $order, $before, $now);
    }

    private static function askAgain(
        Ledger $ledger,
        Order $remake,
        Order $order,
        BigDecimal $before,
        BigDecimal $now,
    ): string {
        $made = self::ordered($order->id, except: $remake->id)->plus($now);
        $unasked = self::scrapped($order)->minus($made)->minus($ledger->questions->openOf($order));
        $again = BigDecimal::min($before->minus($now), $unasked);
        if (! $again->isPositive()) {
            return '';
        }
        $ledger->questions->curedNot($order, $again);
        $pieces = Amount::plain($again);
        $ledger->change($order, 'finishes short', $pieces, "no longer made by order {$remake->number}");

        return " How order {$order->number} makes up for {$pieces} lost is asked again.";
    }

    /** Pieces other orders make again of it. */
    private static function ordered(int $order, ?int $except = null): BigDecimal
    {
        return BigDecimal::of(
            (string) Order::query()
                ->where('remake_of_id', $order)
                ->when($except !== null, fn ($others) => $others->whereKeyNot($except))
                ->where('state', '<>', OrderState::Cancelled)
                ->sum('quantity'),
        );
    }
}
