<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;
use KeepPace\Core\Naming\Code;

/**
 * What lies free in stores of one item and owner, and who counts on it: the one place that says what is free. Blocked
 * stock, stock at a supplier and a customer's own are not on our shelf; what is promised to customer lines and what is
 * kept for other orders is there but not free.
 */
final readonly class Shelf
{
    /**
     * @param  string  $what  the item as people read it
     * @param  list<LotThere>  $lots  oldest first
     * @param  BigDecimal  $promised  of it, to customer lines
     * @param  list<KeptFor>  $kept  of it, for orders
     */
    public function __construct(
        private string $what,
        public array $lots,
        public BigDecimal $promised,
        private array $kept,
    ) {
    }

    /**
     * Of a customer's own material: nobody else counts on it.
     *
     * @param  list<LotThere>  $lots  of that owner
     * @param  int  $owner  a customer; 0 = us
     * @param  BigDecimal|null  $promised  of ours; null = nothing
     * @param  list<KeptFor>  $kept  of ours
     */
    public static function of(
        string $what,
        array $lots,
        int $owner,
        ?BigDecimal $promised = null,
        array $kept = [],
    ): self {
        return $owner === 0
            ? new self($what, $lots, $promised ?? BigDecimal::zero(), $kept)
            : new self($what, $lots, BigDecimal::zero(), []);
    }

    public function there(): BigDecimal
    {
        return BigDecimal::sum(0, ...array_map(static fn (LotThere $lot): BigDecimal => $lot->quantity, $this->lots));
    }

    /** What one order may take; below zero when others were promised more than is there. */
    public function freeFor(int $order): BigDecimal
    {
        return $this->there()->minus($this->promised)->minus(self::sum($this->others($order)));
    }

    /**
     * The lots less what of each is kept for other orders, wherever the lot lies.
     *
     * @return list<LotThere> oldest first
     */
    public function lotsFor(int $order): array
    {
        $held = [];
        foreach ($this->others($order) as $one) {
            if ($one->lot !== 0) {
                $held[$one->lot] = ($held[$one->lot] ?? BigDecimal::zero())->plus($one->quantity);
            }
        }
        $lots = [];
        foreach ($this->lots as $lot) {
            $hold = BigDecimal::min($lot->quantity, $held[$lot->key->lot] ?? BigDecimal::zero());
            if ($hold->isPositive()) {
                $held[$lot->key->lot] = $held[$lot->key->lot]->minus($hold);
            }
            $lots[] = $lot->less($hold);
        }

        return $lots;
    }

    /**
     * The lots in the order in which they are taken by a rule; those kept for the order first.
     *
     * @param  string  $day  the use counts for
     * @return list<LotThere>
     */
    public function inOrder(int $order, LotRule $rule, string $day, int $minimumDays): array
    {
        $mine = array_filter(
            $this->kept,
            static fn (KeptFor $one): bool => $one->order === $order && $one->lot !== 0 && $one->quantity->isPositive(),
        );

        return LotOrder::of($this->lotsFor($order), $rule, $day, $minimumDays, array_column($mine, 'lot'));
    }

    /**
     * As much of what is wanted as the order may take, out of lots in the order given.
     *
     * @param  list<LotThere>  $lots
     * @return list<array{lot: LotThere, quantity: BigDecimal}>
     */
    public function suggest(int $order, BigDecimal $wanted, array $lots): array
    {
        $left = BigDecimal::min($wanted, BigDecimal::max(0, $this->freeFor($order)));
        $parts = [];
        foreach ($lots as $lot) {
            $part = BigDecimal::min($left, $lot->quantity);
            if ($part->isPositive()) {
                $parts[] = ['lot' => $lot, 'quantity' => $part];
                $left = $left->minus($part);
            }
        }

        return $parts;
    }

    /** What is left when somebody took some of what lies under a key. */
    public function less(StockKey $key, BigDecimal $taken): self
    {
        $lots = array_map(
            static fn (LotThere $lot): LotThere => $lot->key->sortKey() === $key->sortKey() ? $lot->less($taken) : $lot,
            $this->lots,
        );

        return new self($this->what, $lots, $this->promised, $this->kept);
    }

    /** @throws StockRefused with the numbers, when the order may not take so many */
    public function assertEnough(int $order, BigDecimal $asked): void
    {
        $there = $this->there();
        if ($asked->isGreaterThan($there)) {
            throw StockRefused::notEnough($this->what, $asked, $there);
        }
        if ($asked->isGreaterThan($there->minus($this->promised))) {
            throw StockRefused::promised($this->what, $asked, $there, $this->promised);
        }
        $free = $this->freeFor($order);
        if ($asked->isGreaterThan($free)) {
            $free = BigDecimal::max(0, $free);
            throw StockRefused::reserved($this->what, $asked, $free, self::numbers($this->others($order)));
        }
    }

    /**
     * The named lot, wherever it lies.
     *
     * @return list<LotThere> none = it is not here
     *
     * @throws StockRefused when it is past its days, kept for another order, or too little
     */
    public function named(string $code, int $order, BigDecimal $asked, string $day, int $minimumDays): array
    {
        $isIt = static fn (LotThere $lot): bool => Code::keyOf($lot->code) === Code::keyOf($code);
        $lots = array_values(array_filter($this->lotsFor($order), $isIt));
        if ($lots === []) {
            return [];
        }
        if (! $lots[0]->isGoodOn($day, $minimumDays)) {
            throw StockRefused::expires($lots[0]->code, (string) $lots[0]->expiresOn, $minimumDays);
        }
        $free = BigDecimal::sum(0, ...array_map(static fn (LotThere $lot): BigDecimal => $lot->quantity, $lots));
        if ($asked->isGreaterThan($free)) {
            $keepers = array_filter(
                $this->others($order),
                static fn (KeptFor $one): bool => $one->lot === $lots[0]->key->lot,
            );
            throw $keepers === []
                ? StockRefused::notEnough("lot {$lots[0]->code}", $asked, $free)
                : StockRefused::reserved("lot {$lots[0]->code}", $asked, $free, self::numbers($keepers));
        }

        return $lots;
    }

    /** @return list<KeptFor> for other orders than this */
    private function others(int $order): array
    {
        return array_values(array_filter(
            $this->kept,
            static fn (KeptFor $one): bool => $one->order !== $order && $one->quantity->isPositive(),
        ));
    }

    /** @param  list<KeptFor>  $kept */
    private static function sum(array $kept): BigDecimal
    {
        return BigDecimal::sum(0, ...array_map(static fn (KeptFor $one): BigDecimal => $one->quantity, $kept));
    }

    /**
     * @param  array<array-key, KeptFor>  $kept
     * @return list<string>
     */
    private static function numbers(array $kept): array
    {
        return array_values(array_unique(array_map(static fn (KeptFor $one): string => $one->number, $kept)));
    }
}
