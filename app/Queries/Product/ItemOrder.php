<?php

namespace App\Queries\Product;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** An open order that makes an item. */
final readonly class ItemOrder
{
    private function __construct(
        public int $id,
        public string $number,
        public string $state,
        public BigDecimal $open,
        public ?string $dueOn,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('state'),
            $row->decimal('open'),
            $row->textOrNull('due_on'),
        );
    }
}
