<?php

namespace App\Queries\Orders;

/** One touch that puts an order elsewhere in the rank. */
final readonly class RankMove
{
    /** @param  int|null  $before  order it would stand before; 0 = last of all, null = it stands there already */
    public function __construct(public string $sign, public string $says, public ?int $before)
    {
    }
}
