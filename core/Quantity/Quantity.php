<?php

declare(strict_types=1);

namespace KeepPace\Core\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\RoundingNecessaryException;
use Brick\Math\RoundingMode;

/** An exact amount in one unit, held at that unit's own decimals. */
final readonly class Quantity implements \Stringable
{
    /** More is a slip of the finger; the sums of many such still fit their columns. */
    private const MOST = 999_999_999;

    private function __construct(public BigDecimal $amount, public Unit $unit)
    {
    }

    /**
     * @param  string  $amount  a plain decimal; never a float
     *
     * @throws QuantityRefused when it is no plain decimal, or finer than the unit is counted
     */
    public static function of(string $amount, Unit $unit): self
    {
        // a draft is kept as it was typed, and judged here
        if (preg_match('/^-?\d{1,12}(\.\d{1,12})?$/D', $amount) !== 1) {
            throw QuantityRefused::noNumber($amount);
        }

        return self::exact(BigDecimal::of($amount), $amount, $unit);
    }

    /**
     * @param  string  $typed  as a person sees it
     *
     * @throws QuantityRefused when it is finer than the unit is counted, or more than a balance holds
     */
    public static function exact(BigDecimal $amount, string $typed, Unit $unit): self
    {
        if ($amount->abs()->isGreaterThan(self::MOST)) {
            throw QuantityRefused::tooMuch($typed, $unit);
        }
        try {
            return new self($amount->toScale($unit->decimals), $unit);
        } catch (RoundingNecessaryException) {
            throw QuantityRefused::tooFine($typed, $unit);
        }
    }

    public static function zero(Unit $unit): self
    {
        return new self(BigDecimal::zero()->toScale($unit->decimals), $unit);
    }

    /** The exact ratio brought to the unit's decimals, rounded up: short costs more than one spare. */
    public static function roundedUp(BigRational $exact, Unit $unit): self
    {
        return new self($exact->toScale($unit->decimals, RoundingMode::CEILING), $unit);
    }

    public function plus(self $other): self
    {
        return new self($this->amount->plus($this->like($other)->amount), $this->unit);
    }

    public function minus(self $other): self
    {
        return new self($this->amount->minus($this->like($other)->amount), $this->unit);
    }

    /** What to start so that this much comes out good, at a yield above 0 and up to 1. Rounds up. */
    public function startedFor(BigDecimal $yield): self
    {
        return new self($this->amount->dividedBy($yield, $this->unit->decimals, RoundingMode::UP), $this->unit);
    }

    public function least(self $other): self
    {
        return $this->isMoreThan($other) ? $other : $this;
    }

    public function isMoreThan(self $other): bool
    {
        return $this->amount->isGreaterThan($this->like($other)->amount);
    }

    public function isZero(): bool
    {
        return $this->amount->isZero();
    }

    public function isPositive(): bool
    {
        return $this->amount->isPositive();
    }

    public function __toString(): string
    {
        return Amount::plain($this->amount).' '.$this->unit->code;
    }

    private function like(self $other): self
    {
        return $other->unit->code === $this->unit->code
            ? $other
            : throw QuantityRefused::unlike($this->unit, $other->unit);
    }
}
