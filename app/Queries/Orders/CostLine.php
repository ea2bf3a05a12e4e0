<?php

namespace App\Queries\Orders;

/** Planned against actual cost of one kind, in cents. */
final readonly class CostLine
{
    public function __construct(public string $kind, public int $planned, public int $actual)
    {
    }

    public function difference(): int
    {
        return $this->actual - $this->planned;
    }

    /** More than was planned for, where anything was planned. */
    public function isOver(): bool
    {
        return $this->planned > 0 && $this->difference() > 0;
    }
}
