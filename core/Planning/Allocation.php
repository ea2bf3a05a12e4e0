<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/**
 * Stock and expected receipts given to component needs by the one rank of orders, in one pass. A purchase is used by
 * its date, an order that was made for the asker before any other; what is kept for another order is left to it.
 */
final class Allocation
{
    /**
     * @param  list<ComponentNeed>  $needs  in rank order of their orders
     * @param  array<int, BigDecimal>  $stock  free and unpromised, by item
     * @param  list<Supply>  $supplies
     * @param  array<string, BigDecimal>  $kept  of that stock, kept hard for one order: by "order-item"
     * @return array<int, Allocated> by need id
     */
    public static function of(array $needs, array $stock, array $supplies, array $kept = []): array
    {
        $stock = self::less($stock, $kept);
        $byItem = self::byItem($supplies);
        $left = array_map(static fn (Supply $supply): BigDecimal => $supply->open, $supplies);
        $result = [];
        foreach ($needs as $need) {
            $own = self::least($need->open, $kept["{$need->order}-{$need->item}"] ?? BigDecimal::zero());
            if ($own->isPositive()) {
                $kept["{$need->order}-{$need->item}"] = $kept["{$need->order}-{$need->item}"]->minus($own);
            }
            $open = $need->open->minus($own);
            $free = self::least($open, $stock[$need->item] ?? BigDecimal::zero());
            if ($free->isPositive()) {
                $stock[$need->item] = $stock[$need->item]->minus($free);
                $open = $open->minus($free);
            }
            $fromStock = $own->plus($free);
            $coming = [];
            foreach (self::inTurn($need, $byItem[$need->item] ?? [], $supplies) as $key) {
                $take = self::least($open, $left[$key]);
                if ($take->isPositive()) {
                    $coming[] = ['supply' => $supplies[$key], 'quantity' => $take];
                    $left[$key] = $left[$key]->minus($take);
                    $open = $open->minus($take);
                }
            }
            $result[$need->id] = new Allocated($need, $fromStock, $coming, $open);
        }

        return $result;
    }

    /**
     * Stock without what is kept.
     *
     * @param  array<int, BigDecimal>  $stock  by item
     * @param  array<string, BigDecimal>  $kept  by "order-item"
     * @return array<int, BigDecimal>
     */
    private static function less(array $stock, array $kept): array
    {
        foreach ($kept as $key => $quantity) {
            $item = (int) explode('-', $key)[1];
            $stock[$item] = ($stock[$item] ?? BigDecimal::zero())->minus($quantity);
        }

        return $stock;
    }

    /**
     * What may serve a need: first what comes for its own order, then what comes for nobody; never what that makes.
     *
     * @param  list<int>  $keys
     * @param  list<Supply>  $supplies
     * @return list<int> keys
     */
    private static function inTurn(ComponentNeed $need, array $keys, array $supplies): array
    {
        $own = $others = [];
        foreach ($keys as $key) {
            $supply = $supplies[$key];
            if ($supply->by->orderId() === $need->order) {
                continue;
            }
            if ($supply->forOrder === $need->order) {
                $own[] = $key;
            } elseif ($supply->forOrder === null) {
                $others[] = $key;
            }
        }

        return [...$own, ...$others];
    }

    /**
     * Dated ones by date, then orders, which have none yet.
     *
     * @param  list<Supply>  $supplies
     * @return array<int, list<int>> keys of supplies by item
     */
    private static function byItem(array $supplies): array
    {
        $byItem = [];
        foreach ($supplies as $key => $supply) {
            $byItem[$supply->item][] = $key;
        }
        $place = static fn (int $key): array => [$supplies[$key]->arrival->at ?? PHP_INT_MAX, $key];
        foreach ($byItem as &$keys) {
            usort($keys, static fn (int $a, int $b): int => $place($a) <=> $place($b));
        }

        return $byItem;
    }

    private static function least(BigDecimal $a, BigDecimal $b): BigDecimal
    {
        return $a->isGreaterThan($b) ? ($b->isNegative() ? BigDecimal::zero() : $b) : $a;
    }
}
