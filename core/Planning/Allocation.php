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
     * @return array<int, Allocated> by need id
     */
    public static function of(array $needs, array $stock, array $supplies): array
    {
        $byItem = [];
        $left = [];
        foreach ($supplies as $key => $supply) {
            $byItem[$supply->item][] = $key;
            $left[$key] = $supply->open;
        }
        // dated ones by date, then orders, which have none yet
        foreach ($byItem as &$keys) {
            usort($keys, static fn (int $a, int $b): int => [$supplies[$a]->at ?? PHP_INT_MAX, $a] <=> [$supplies[$b]
                ->at ?? PHP_INT_MAX, $b]);
        }
        unset($keys);

        $result = [];
        foreach ($needs as $need) {
            $open = $need->open;
            $fromStock = self::least($open, $stock[$need->item] ?? BigDecimal::zero());
            if ($fromStock->isPositive()) {
                $stock[$need->item] = $stock[$need->item]->minus($fromStock);
                $open = $open->minus($fromStock);
            }
            $coming = [];
            $keys = $byItem[$need->item] ?? [];
            foreach ([true, false] as $own) {
                foreach ($keys as $key) {
                    $supply = $supplies[$key];
                    $mine = $supply->forOrder === $need->order;
                    if ($mine !== $own || (! $mine && $supply->forOrder !== null) || $supply->order === $need->order) {
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
