<?php

namespace App\Queries\Board;

use App\Reading\Row;

/** A step as the board on paper shows it. */
final readonly class PrintedBar
{
    /**
     * @param  int  $centre  0 = at a supplier
     * @param  int  $machine  0 = likewise
     * @param  int  $start  UTC minute
     * @param  int  $end  UTC minute
     * @param  string  $words  "488 10 Fit drum"
     */
    private function __construct(
        public int $centre,
        public int $machine,
        public int $start,
        public int $end,
        public string $words,
        public bool $isLate,
        public bool $isStarted,
    ) {
    }

    public static function from(Row $row): self
    {
        $supplier = $row->textOrNull('supplier');
        $step = "{$row->text('order_number')} {$row->int('number')} {$row->text('name')}";

        return new self(
            $row->int('centre'),
            $row->int('machine'),
            $row->int('start'),
            $row->int('end'),
            $supplier === null ? $step : "{$step}, {$supplier}",
            ($row->intOrNull('late_minutes') ?? 0) > 0,
            $row->flag('is_started'),
        );
    }
}
