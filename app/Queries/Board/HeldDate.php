<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** A date that is held for somebody who has not ordered yet. */
final readonly class HeldDate
{
    private function __construct(
        public int $id,
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public string $for,
        public CarbonImmutable $finishAt,
        public CarbonImmutable $heldUntil,
        public string $person,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('number'),
            $row->decimal('quantity'),
            $row->text('for'),
            $row->moment('finish_at'),
            $row->moment('held_until'),
            $row->text('person'),
        );
    }
}
