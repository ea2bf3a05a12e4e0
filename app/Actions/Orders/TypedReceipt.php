<?php

namespace App\Actions\Orders;

/** What comes out of an order into stock, as it was typed. */
final readonly class TypedReceipt
{
    /**
     * @param  string  $quantity  of the product; '0' = none now
     * @param  string  $codes  lot, or serials one a line; empty = the lot is the order, serials are given by the
     *     numbering
     * @param  array<int, TypedOutput>  $beside  what comes back with it, by output; of what nobody said, as much as
     *     goes with the pieces
     * @param  bool  $isWhole  all that goes with the pieces has to come with them: tracked things are named
     */
    public function __construct(
        public string $quantity,
        public int $placeId,
        public string $codes = '',
        public array $beside = [],
        public bool $isWhole = false,
    ) {
    }
}
