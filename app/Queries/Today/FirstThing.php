<?php

namespace App\Queries\Today;

/** One thing a shop enters before its first order. */
final readonly class FirstThing
{
    /** @param  string  $route  the page where it is entered */
    public function __construct(
        public string $name,
        public string $route,
        public string $says,
        public bool $isThere = false,
    ) {
    }
}
