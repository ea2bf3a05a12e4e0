<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

/** Cost put into an order, by kind, in cents. */
final readonly class OrderCost
{
    public function __construct(
        public int $material = 0,
        public int $labour = 0,
        public int $machine = 0,
        public int $overhead = 0,
        public int $outside = 0,
    ) {
    }

    public function total(): int
    {
        return $this->material + $this->labour + $this->machine + $this->overhead + $this->outside;
    }
}
