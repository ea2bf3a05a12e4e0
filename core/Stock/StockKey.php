<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** What a balance is kept by. 0 stands for "none" in lot and "us" in owner, so that a unique index counts. */
final readonly class StockKey
{
    private string $sorted;

    public function __construct(
        public int $item,
        public int $place,
        public int $lot = 0,
        public Condition $condition = Condition::Free,
        public int $owner = 0,
    ) {
        $this->sorted = sprintf('%010d-%010d-%010d-%s-%010d', $item, $place, $lot, $condition->value, $owner);
    }

    /** One order for locking, everywhere the same. */
    public function sortKey(): string
    {
        return $this->sorted;
    }
}
