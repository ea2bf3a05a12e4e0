<?php

namespace App\Queries;

/** One change of product data, in words: who made of what what, and when. */
final readonly class ProductChange
{
    public function __construct(
        public int $booking,
        public string $when,
        public string $person,
        public string $field,
        public string $before,
        public string $after,
    ) {
    }
}
