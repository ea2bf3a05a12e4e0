<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\RoundingNecessaryException;

/** How many stock units one other unit of an item is: the exact ratio p/q. */
final readonly class Conversion
{
    private function __construct(public Unit $unit, public Unit $stockUnit, public BigRational $ratio)
    {
    }

    /**
     * @param  string  $p  whole number above 0
     * @param  string  $q  whole number above 0; one $unit is p/q $stockUnit
     */
    public static function of(Unit $unit, Unit $stockUnit, string $p, string $q): self
    {
        $ratio = BigRational::nd($p, $q);
        if (! $ratio->isPositive()) {
            throw new \LogicException("A conversion ratio is above zero, not {$p}/{$q}.");
        }

        return new self($unit, $stockUnit, $ratio);
    }

    public static function none(Unit $stockUnit): self
    {
        return self::of($stockUnit, $stockUnit, '1', '1');
    }

    /**
     * The typed amount in the stock unit. Exact where the stock unit can hold it; else the amount is refused,
     * for a rounding nobody saw is a difference nobody finds.
     *
     * @throws QuantityRefused when either unit cannot hold the amount
     */
    public function toStock(string $typed): Quantity
    {
        $amount = Quantity::of($typed, $this->unit)->amount;
        try {
            $stock = BigRational::of($amount)->multipliedBy($this->ratio)->toBigDecimal();

            return Quantity::exact($stock, "{$typed} {$this->unit->code} =", $this->stockUnit);
        } catch (RoundingNecessaryException) {
            throw QuantityRefused::tooFine("{$typed} {$this->unit->code} =", $this->stockUnit);
        }
    }

    /** The stock amount in this unit, exactly, as a ratio. */
    public function fromStock(BigDecimal $amount): BigRational
    {
        return BigRational::of($amount)->dividedBy($this->ratio);
    }
}
