<?php

namespace App\Queries\Purchasing;

/** One link in the chain of a purchase: what was done, when, and how much of it. */
final readonly class ChainLink
{
    /**
     * @param  bool  $isDone  all of it
     * @param  bool  $isBegun  some of it
     */
    public function __construct(
        public string $label,
        public string $says,
        public bool $isDone,
        public bool $isBegun = false,
    ) {
    }
}
