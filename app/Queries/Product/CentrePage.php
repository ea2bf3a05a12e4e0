<?php

namespace App\Queries\Product;

use App\Models\WorkCentre;
use App\Queries\ProductTrail;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A work centre as its page shows it: who works there, what is set up there, how long from one to the next. */
final readonly class CentrePage
{
    /** So many families stand in a table that can still be read. */
    private const FAMILIES = 30;

    /**
     * @param  array<int, string>  $families  that are done there, or stand in its table
     * @param  array<int, array<int, int>>  $minutes  by family before, family after
     * @param  list<string>  $people
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     */
    private function __construct(
        public WorkCentre $centre,
        public array $families,
        private array $minutes,
        public array $people,
        public Collection $changes,
    ) {
    }

    public static function of(WorkCentre $centre): self
    {
        $minutes = [];
        Row::all(
            DB::table('changeovers')->where('work_centre_id', $centre->id),
            function (Row $row) use (&$minutes): Row {
                $minutes[$row->int('from_family_id')][$row->int('to_family_id')] = $row->int('minutes');

                return $row;
            },
        );
        $done = DB::table('routing_steps')->where('work_centre_id', $centre->id)->whereNotNull('family_id');
        $families = DB::table('families')
            ->whereIn('id', $done->select('family_id'))
            ->orWhereIn('id', [...array_keys($minutes), ...array_merge(...array_map(array_keys(...), $minutes))])
            ->orderBy('code')
            ->limit(self::FAMILIES);
        $names = [];
        Row::all($families, function (Row $row) use (&$names): Row {
            $names[$row->int('id')] = $row->text('code');

            return $row;
        });
        $people = DB::table('people')->where('work_centre_id', $centre->id)->where('is_there', true)->orderBy('name');

        return new self(
            $centre,
            $names,
            $minutes,
            array_values(array_filter($people->pluck('name')->all(), is_string(...))),
            ProductTrail::of('work_centres', $centre->id),
        );
    }

    /** Minutes from one family to the other; '' = none said. */
    public function minutes(int $from, int $to): string
    {
        return (string) ($this->minutes[$from][$to] ?? '');
    }

    /** The name of a field of the table. */
    public function name(int $from, int $to): string
    {
        return "table[{$from}][{$to}]";
    }

    public function key(int $from, int $to): string
    {
        return "table.{$from}.{$to}";
    }
}
