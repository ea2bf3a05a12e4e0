<?php

namespace App\Queries\Orders;

use KeepPace\Core\Costing\UsageVariance;

/** A component that was used otherwise than planned, and what that costs. */
final readonly class UsageDeviation
{
    private function __construct(public OrderPart $part, public UsageVariance $variance, public string $reasons)
    {
    }

    public static function of(OrderPart $part, string $reasons): self
    {
        $variance = UsageVariance::of($part->planned, $part->plannedValue, $part->used, $part->usedValue);

        return new self($part, $variance, $reasons);
    }

    public function isThere(): bool
    {
        return ! $this->variance->quantity->isZero() || $this->variance->byPrice !== 0;
    }
}
