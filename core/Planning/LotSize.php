<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Amount;

/** How much is ordered when so much is needed (trade.md, W8 and W10: first the minimum, then the multiple). */
final readonly class LotSize
{
    /**
     * @param  BigDecimal  $lot  of whole lots, or the multiple; 0 = none
     * @param  BigDecimal  $least  of the rule with a minimum; 0 = none
     */
    public function __construct(public LotSizing $rule, private BigDecimal $lot, private BigDecimal $least)
    {
    }

    public static function asNeeded(): self
    {
        return new self(LotSizing::AsNeeded, BigDecimal::zero(), BigDecimal::zero());
    }

    /** @param  BigDecimal  $need  0 or more */
    public function of(BigDecimal $need): BigDecimal
    {
        if (! $need->isPositive()) {
            return BigDecimal::zero();
        }

        return match ($this->rule) {
            LotSizing::AsNeeded => $need,
            LotSizing::Fixed => $this->whole($need),
            LotSizing::Multiple => $this->whole(BigDecimal::max($need, $this->least)),
        };
    }

    /** The least that is ordered at once; zero where that is as much as is needed. */
    public function one(): BigDecimal
    {
        return match ($this->rule) {
            LotSizing::AsNeeded => BigDecimal::zero(),
            LotSizing::Fixed => $this->lot,
            LotSizing::Multiple => $this->whole(BigDecimal::max($this->lot, $this->least)),
        };
    }

    /** @return array<'lot_quantity', string> what of it cannot be so, by field */
    public function wrong(): array
    {
        return $this->rule === LotSizing::Fixed && ! $this->lot->isPositive()
            ? ['lot_quantity' => 'Say how many one lot is.']
            : [];
    }

    /** "lots of 40", "at least 10, in 5s"; '' = as needed */
    public function says(): string
    {
        $plain = fn (BigDecimal $of): string => Amount::plain($of);

        return match ($this->rule) {
            LotSizing::AsNeeded => '',
            LotSizing::Fixed => "lots of {$plain($this->lot)}",
            LotSizing::Multiple => implode(', ', array_filter([
                $this->least->isPositive() ? "at least {$plain($this->least)}" : '',
                $this->lot->isPositive() ? "in multiples of {$plain($this->lot)}" : '',
            ], fn (string $part): bool => $part !== '')),
        };
    }

    private function whole(BigDecimal $need): BigDecimal
    {
        return $this->lot->isPositive()
            ? $need->dividedBy($this->lot, 0, RoundingMode::CEILING)->multipliedBy($this->lot)
            : $need;
    }
}
