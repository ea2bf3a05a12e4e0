<?php

namespace App\Queries\Purchasing;

use App\Models\PurchaseOrder;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Collection;

/** How far a purchase is: ordered, sent, confirmed, in, back, billed. */
final class PurchaseChain
{
    /**
     * @param  Collection<int, PurchaseLineRow>  $lines
     * @param  string|null  $mailedTo  address it was mailed to last
     * @return list<ChainLink>
     */
    public static function of(PurchaseOrder $order, Collection $lines, ?string $mailedTo): array
    {
        $wanted = $lines->filter(fn (PurchaseLineRow $line): bool => $line->wanted->isPositive());
        $in = $wanted->filter(fn (PurchaseLineRow $line): bool => ! $line->isOpen);
        $begun = $wanted->filter(fn (PurchaseLineRow $line): bool => $line->received->isPositive());
        $back = $lines->filter(fn (PurchaseLineRow $line): bool => $line->returned->isPositive());
        $billed = $lines->filter(fn (PurchaseLineRow $line): bool => $line->billed->isPositive());
        $isAll = $wanted->isNotEmpty();

        return array_values(array_filter([
            new ChainLink('put down', When::day($order->ordered_on), true),
            new ChainLink('sent', self::sent($order, $mailedTo), $order->sent_on !== null),
            new ChainLink('confirmed', self::confirmed($order), $order->confirmed_on !== null),
            new ChainLink('in', self::lines($begun, $wanted), $isAll && $in->count() === $wanted->count(),
                $begun->isNotEmpty()),
            $back->isEmpty() ? null : new ChainLink('sent back', self::lines($back, $wanted), true),
            new ChainLink('billed', self::lines($billed, $wanted), $isAll && $billed->count() === $wanted->count(),
                $billed->isNotEmpty()),
        ]));
    }

    private static function sent(PurchaseOrder $order, ?string $mailedTo): string
    {
        return $order->sent_on === null
            ? ''
            : When::day($order->sent_on).($mailedTo === null ? '' : " to {$mailedTo}");
    }

    private static function confirmed(PurchaseOrder $order): string
    {
        $reference = $order->supplier_reference === '' ? '' : ", theirs {$order->supplier_reference}";

        return $order->confirmed_on === null ? '' : When::day($order->confirmed_on).$reference;
    }

    /**
     * @param  Collection<int, PurchaseLineRow>  $some
     * @param  Collection<int, PurchaseLineRow>  $all
     */
    private static function lines(Collection $some, Collection $all): string
    {
        return $some->isEmpty() ? '' : "{$some->count()} of ".Figures::count($all->count(), 'line');
    }
}
