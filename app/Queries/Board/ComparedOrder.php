<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Carbon\CarbonImmutable;
use KeepPace\Core\Scheduling\Plan\Comparison;

/** An order that is late in one plan or in both. */
final readonly class ComparedOrder
{
    /**
     * @param  int  $before  open minutes late in the live plan
     * @param  int  $after  likewise in the other
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $item,
        public ?CarbonImmutable $dueAt,
        public int $before,
        public int $after,
    ) {
    }

    public static function from(Row $row, Comparison $comparison): self
    {
        return self::of($row, $comparison->lateBefore, $comparison->lateAfter);
    }

    /**
     * @param  array<int, int>  $before  open minutes late by order
     * @param  array<int, int>  $after
     */
    public static function of(Row $row, array $before, array $after): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->momentOrNull('due_at'),
            $before[$row->int('id')] ?? 0,
            $after[$row->int('id')] ?? 0,
        );
    }
}
