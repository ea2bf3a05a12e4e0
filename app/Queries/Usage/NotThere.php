<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** What a slip wants and no place has. */
final readonly class NotThere
{
    private function __construct(
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public string $unit,
        public string $order,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->text('item_name'),
            $row->text('item_number'),
            BigDecimal::of($row->text('quantity')),
            $row->text('unit'),
            $row->text('order_number'),
        );
    }
}
