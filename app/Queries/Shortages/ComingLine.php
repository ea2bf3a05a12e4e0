<?php

namespace App\Queries\Shortages;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** An open purchase line of an item that is short. */
final readonly class ComingLine
{
    /**
     * @param  BigDecimal  $open  to come
     * @param  string|null  $stillExpectedOn  the day, unless it has passed: that is no day to offer again
     */
    private function __construct(
        public int $id,
        public int $itemId,
        public string $number,
        public string $supplier,
        public BigDecimal $open,
        public string $expectedOn,
        public ?string $stillExpectedOn,
        public bool $isHurried,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('number'),
            $row->text('supplier'),
            $row->decimal('open'),
            $row->text('expected_on'),
            $row->textOrNull('still_expected_on'),
            $row->textOrNull('asked_for') !== null,
        );
    }
}
