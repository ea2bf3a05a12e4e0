<?php

namespace App\Queries\Flow;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\StockFlow;

/** An item of which there will not be enough. */
final readonly class FallingItem
{
    /**
     * @param  int  $at  UTC minute at which it falls
     * @param  bool  $isShort  less than nothing would be there; else less than its safety level
     * @param  BigDecimal  $missing  in stock units
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        public BigDecimal $there,
        public int $at,
        public bool $isShort,
        public BigDecimal $missing,
    ) {
    }

    public static function of(Row $row, StockFlow $flow): self
    {
        $first = $flow->short ?? $flow->below;

        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            $flow->start,
            $first?->at() ?? 0,
            $flow->short !== null,
            $flow->short === null ? $flow->missingToSafety() : $flow->missing(),
        );
    }
}
