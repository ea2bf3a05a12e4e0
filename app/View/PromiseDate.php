<?php

namespace App\View;

use App\Wording\When;

/** A date that could be promised. */
final readonly class PromiseDate
{
    /** @param  int  $minute  UTC minute */
    public function __construct(public int $minute)
    {
    }

    public function says(): string
    {
        return When::say($this->minute);
    }
}
