<?php

namespace App\Queries\Partners;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** Material of a customer's own that lies with us. */
final readonly class OwnMaterial
{
    private function __construct(
        public int $itemId,
        public string $number,
        public string $name,
        public BigDecimal $quantity,
        public string $unit,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->decimal('quantity'),
            $row->text('unit'),
        );
    }
}
