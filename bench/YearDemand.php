<?php

namespace Bench;

/** The customer order of one line that an order of the year is made for. */
final class YearDemand
{
    public int $shipped = 0;

    /** The cover by stock, once the order is received. */
    public ?int $fromStock = null;

    public function __construct(
        public readonly int $id,
        public readonly string $number,
        public readonly int $line,
        public readonly int $cover,
        public readonly string $orderedOn,
    ) {
    }
}
