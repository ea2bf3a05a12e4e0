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
        foreach ($kept as $key => $quantity) {
            $item = (int) explode('-', $key)[1];
            $stock[$item] = ($stock[$item] ?? BigDecimal::zero())->minus($quantity);
        }
        $byItem = [];
        $left = [];
        foreach ($supplies as $key => $supply) {
            $byItem[$supply->item][] = $key;
            $left[$key] = $supply->open;
        }
        // dated ones by date, then orders, which have none yet
        foreach ($byItem as &$keys) {
            $place = static fn (int $key): array => [$supplies[$key]->arrival->at ?? PHP_INT_MAX, $key];
            usort($keys, static fn (int $a, int $b): int => $place($a) <=> $place($b));
        }
        unset($keys);

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
            $keys = $byItem[$need->item] ?? [];
            foreach ([true, false] as $own) {
                foreach ($keys as $key) {
                    $supply = $supplies[$key];
                    $mine = $supply->forOrder === $need->order;
                    $isItself = $supply->by->orderId() === $need->order;
                    if ($mine !== $own || (! $mine && $supply->forOrder !== null) || $isItself) {
                        continue;
                    }
                    $take = self::least($open, $left[$key]);
                    if ($take->isPositive()) {
                        $coming[] = ['supply' => $supply, 'quantity' => $take];
                        $left[$key] = $left[$key]->minus($take);
                        $open = $open->minus($take);
                    }
                }
            }
            $result[$need->id] = new Allocated($need, $fromStock, $coming, $open);
        }

        return $result;
    }

    private static function least(BigDecimal $a, BigDecimal $b): BigDecimal
    {
        return $a->isGreaterThan($b) ? ($b->isNegative() ? BigDecimal::zero() : $b) : $a;
    }
}
