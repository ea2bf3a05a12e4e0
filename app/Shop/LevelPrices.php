<?php

namespace App\Shop;

use KeepPace\Core\Costing\PriceBreaks;

/** What customers of a level pay for an item. */
final readonly class LevelPrices
{
    /** @param  string  $level  '' = all who have no prices of their own */
    public function __construct(public string $level, public PriceBreaks $breaks)
    {
    }

    /** "dealers: 5.00 10:4.50" */
    public function says(): string
    {
        return ($this->level === '' ? 'all' : $this->level).": {$this->breaks->written()}";
    }
}
