<?php

namespace App\Actions\Product;

/** An item that may stand in for another, as it was typed. */
final readonly class TypedSubstitute
{
    /**
     * @param  int  $p  p / q stock units of it stand in for one of the item
     * @param  string|null  $until  "YYYY-MM-DD"; null = for good
     */
    public function __construct(public int $itemId, public int $p, public int $q, public ?string $until)
    {
    }

    /** "2/1 until 2026-12-31" */
    public function says(): string
    {
        return "{$this->p}/{$this->q}".($this->until === null ? '' : " until {$this->until}");
    }
}
