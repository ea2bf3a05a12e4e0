<?php

namespace App\Actions\Stock;

use Brick\Math\BigDecimal;

/** Another standard cost of one item: what was seen, and what it is to be; euros a stock unit. */
final readonly class StandardTaken
{
    public function __construct(public string $before, public string $after)
    {
    }

    /** The item costs what was seen. */
    public function isSeen(string $now): bool
    {
        return BigDecimal::of($now)->isEqualTo($this->before);
    }

    public function isNone(): bool
    {
        return BigDecimal::of($this->before)->isEqualTo($this->after);
    }
}
