<?php

namespace App\Shop;

use App\Reading\Row;
use KeepPace\Core\Planning\StockPosition;

/** An item with its position: what is free, coming and promised of it. */
final readonly class LowItem
{
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        public StockPosition $is,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            new StockPosition(
                $row->decimal('free'),
                $row->decimal('bought')->plus($row->decimal('made')),
                $row->decimal('tied')->plus($row->decimal('needed')),
                $row->decimal('reorder_point'),
            ),
        );
    }

    public function isMissing(): bool
    {
        return $this->is->missing()->isPositive();
    }
}
