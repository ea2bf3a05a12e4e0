<?php

namespace App\Shop;

use App\Wording\When;
use Carbon\CarbonImmutable;

/** The shop's clock: the time, and the shift that is running or when work goes on. */
final readonly class ShopClock
{
    private function __construct(public CarbonImmutable $now, public string $shift)
    {
    }

    public static function now(): self
    {
        return new self(When::local(CarbonImmutable::now()), PlantDay::shift());
    }
}
