<?php

namespace App\Wording;

use App\Reading\Documents;
use App\Reading\Row;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Document;
use KeepPace\Core\Planning\Expected;

/** One thing an order waits for, as the plan keeps it. */
final readonly class WaitsFor
{
    /**
     * @param  Document|null  $by  what it comes with; null = nothing is ordered
     * @param  Arrival|null  $arrival  null = nobody knows when
     */
    private function __construct(
        public int $step,
        public string $item,
        public ?Document $by,
        public ?Arrival $arrival,
    ) {
    }

    /**
     * What nothing is ordered for, then what comes last.
     *
     * @param  string  $json  of plan_orders.blocks
     * @return list<self>
     */
    public static function all(string $json): array
    {
        $all = Row::each($json, self::from(...));
        $place = fn (self $one): array => [$one->by !== null, $one->step, -($one->arrival->at ?? PHP_INT_MAX)];
        usort($all, fn (self $a, self $b): int => $place($a) <=> $place($b));

        return $all;
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('step'),
            $row->text('item'),
            Documents::ofOrNull($row->part('supply')),
            self::arrival($row),
        );
    }

    /** As the plan keeps it: minute, what it rests on, the day that was given and the day it counts for. */
    public static function arrival(Row $row): ?Arrival
    {
        $at = $row->intOrNull('at');
        $rests = $row->enumOrNull('rests', Expected::class);

        return $at === null
            ? null
            : new Arrival($at, $rests ?? Expected::Given, $row->textOrNull('given'), $row->textOrNull('on'));
    }

    public function isOrdered(): bool
    {
        return $this->by !== null;
    }

    /** "until Thu", "until about Thu, was due Tue"; "(to be used Thu if ordered today)" */
    public function says(string $at): string
    {
        return $this->by === null
            ? "stuck{$at}: no {$this->item} ordered".ArrivalWords::missing($this->arrival)
            : "waits{$at}".ArrivalWords::until($this->arrival)." for {$this->item} ({$this->by->number})";
    }
}
