<?php

namespace App\Shop;

use Brick\Math\BigDecimal;

/** What is taken to be otherwise about material, to see what it would do: nothing of it is written. */
final readonly class Supposed
{
    /**
     * @param  array<int, string>  $days  on which purchase lines come, by line
     * @param  array<string, BigDecimal>  $kept  stock kept for orders besides, by "order-item"
     * @param  array<int, array{int, BigDecimal}>  $instead  item and how much of it in place of a component, by
     *     component
     */
    private function __construct(public array $days = [], public array $kept = [], private array $instead = [])
    {
    }

    public static function nothing(): self
    {
        return new self;
    }

    public static function comes(int $purchaseLine, string $on): self
    {
        return new self(days: [$purchaseLine => $on]);
    }

    public static function kept(int $order, int $item, BigDecimal $quantity): self
    {
        return new self(kept: ["{$order}-{$item}" => $quantity]);
    }

    /** @return array{int, BigDecimal}|null item and how much of it is taken in place of a component */
    public function of(int $component): ?array
    {
        return $this->instead[$component] ?? null;
    }

    public static function instead(int $component, int $item, BigDecimal $quantity): self
    {
        return new self(instead: [$component => [$item, $quantity]]);
    }
}
