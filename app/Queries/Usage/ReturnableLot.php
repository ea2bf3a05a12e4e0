<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** What lies in an order of one component and lot, and could go back to stores. */
final readonly class ReturnableLot
{
    /**
     * @param  string  $key  by which it is sent
     * @param  int  $value  cents
     */
    private function __construct(
        public string $key,
        public int $step,
        public string $item,
        public string $itemNumber,
        public ?string $lot,
        public string $unit,
        public BigDecimal $planned,
        public BigDecimal $quantity,
        public int $value,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            "{$row->int('component_id')}-{$row->int('lot_id')}",
            $row->int('step_number'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->textOrNull('lot'),
            $row->text('unit'),
            $row->decimal('planned_quantity'),
            $row->decimal('quantity'),
            $row->int('value'),
        );
    }

    /** As errors and old input name it. */
    public function field(): string
    {
        return "lines.{$this->key}";
    }
}
