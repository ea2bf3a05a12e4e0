<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Cents;

/** Another standard cost of an item, and what it does to what its stock is worth. */
final readonly class NewStandard
{
    /** Places a standard cost is rounded to, in euros: once, half up. */
    private const PLACES = 4;

    /**
     * @param  BigDecimal  $before  euros a stock unit
     * @param  BigDecimal  $after  euros a stock unit
     * @param  StockValue  $there  all that is kept of the item
     */
    private function __construct(public BigDecimal $before, public BigDecimal $after, private StockValue $there)
    {
    }

    /** @param  string  $before  euros a stock unit */
    public static function of(string $before, BigDecimal $after, StockValue $there): self
    {
        return new self(BigDecimal::of($before), $after, $there);
    }

    /** Euros a stock unit, of cents that are exact. */
    public static function rounded(BigRational $cents): BigDecimal
    {
        return $cents->dividedBy(100)->toScale(self::PLACES, RoundingMode::HALF_UP);
    }

    public function differs(): bool
    {
        return ! $this->before->isEqualTo($this->after);
    }

    public function onHand(): BigDecimal
    {
        return $this->there->quantity;
    }

    /** Cents the stock is worth now. */
    public function value(): int
    {
        return $this->there->value;
    }

    /** Cents the stock is worth more; the other side is variance. */
    public function more(): int
    {
        return Cents::of($this->there->quantity, (string) $this->after) - $this->there->value;
    }

    /** Per cent it costs more, to one place; null where it cost nothing before. */
    public function percent(): ?BigDecimal
    {
        return $this->before->isZero()
            ? null
            : $this->after->minus($this->before)
                ->multipliedBy(100)
                ->dividedBy($this->before, 1, RoundingMode::HALF_UP);
    }
}
