<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** Stock that is kept hard for an order. */
final readonly class KeptForOrder
{
    private function __construct(
        public int $id,
        public BigDecimal $quantity,
        public string $item,
        public string $unit,
        private ?string $lot,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->decimal('quantity'),
            $row->text('item_name'),
            $row->text('unit'),
            $row->textOrNull('lot'),
        );
    }

    public function lotSays(): string
    {
        return $this->lot === null ? 'of any lot' : "lot {$this->lot}";
    }
}
