<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;

/** Taking a quantity of one item from the balances it lies in: decided once, for all of them. */
final readonly class Withdrawal
{
    /** @param  list<array{key: StockKey, quantity: BigDecimal}>  $parts */
    private function __construct(public array $parts)
    {
    }

    /**
     * @param  string  $what  item and unit as people read it
     * @param  list<array{key: StockKey, quantity: BigDecimal}>  $balances  in the order they are to be used up
     * @param  BigDecimal  $asked  above 0
     * @param  BigDecimal  $promised  of all that is on hand, promised to others
     * @param  BigDecimal|null  $onHand  all that is on hand, where $balances are only some of it (one lot)
     *
     * @throws StockRefused when too little is there, or what is there is promised
     */
    public static function decide(
        string $what,
        array $balances,
        BigDecimal $asked,
        BigDecimal $promised,
        ?BigDecimal $onHand = null,
    ): self {
        $there = BigDecimal::zero();
        foreach ($balances as $row) {
            $there = $there->plus($row['quantity']);
        }
        if ($asked->isGreaterThan($there)) {
            throw StockRefused::notEnough($what, $asked, $there);
        }
        $onHand ??= $there;
        if ($asked->isGreaterThan($onHand->minus($promised))) {
            throw StockRefused::promised($what, $asked, $onHand, $promised);
        }
        $parts = [];
        $left = $asked;
        foreach ($balances as $row) {
            $take = $left->isGreaterThan($row['quantity']) ? $row['quantity'] : $left;
            if ($take->isPositive()) {
                $parts[] = ['key' => $row['key'], 'quantity' => $take];
                $left = $left->minus($take);
            }
        }

        return new self($parts);
    }
}
