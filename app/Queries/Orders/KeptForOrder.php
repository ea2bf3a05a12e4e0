<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Wording\When;
use Brick\Math\BigDecimal;

/** Stock, or something that is bought, kept hard for an order. */
final readonly class KeptForOrder
{
    private function __construct(
        public int $id,
        public BigDecimal $quantity,
        public string $item,
        public string $unit,
        private ?string $lot,
        private ?string $purchase,
        private ?string $expectedOn,
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
            $row->textOrNull('purchase'),
            $row->textOrNull('expected_on'),
        );
    }

    /** "of any lot", or "from P-571/1 on Thu" */
    public function fromSays(): string
    {
        return match (true) {
            $this->purchase !== null => "from {$this->purchase}"
                .($this->expectedOn === null ? ', not sent yet' : ' '.When::onDay($this->expectedOn)),
            $this->lot === null => 'of any lot',
            default => "lot {$this->lot}",
        };
    }
}
