<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** An item that may stand in for another: by which exact ratio, and until which day. */
final readonly class StandIn
{
    /**
     * @param  BigRational  $ratio  stock units of it that stand in for one stock unit of the other; above 0
     * @param  string|null  $until  "YYYY-MM-DD", the last day; null = for good
     */
    public function __construct(private BigRational $ratio, private ?string $until)
    {
    }

    public function isAllowedOn(string $day): bool
    {
        return $this->until === null || $day <= $this->until;
    }

    /**
     * How much of it stands in for so much of the other: never too little, so rounded up.
     *
     * @param  int  $decimals  places its stock is counted to
     */
    public function of(BigDecimal $missing, int $decimals): BigDecimal
    {
        return $this->ratio->multipliedBy($missing)->toScale($decimals, RoundingMode::CEILING);
    }
}
