<?php

namespace App\Queries\Product;

use App\Models\Attachable;
use App\Models\WorkCentre;
use App\Queries\Files\HangingFile;
use App\Queries\ProductTrail;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A work centre as its page shows it: who works there, what is set up there, how long from one to the next. */
final readonly class CentrePage
{
    /** What its files hang on. */
    public const FILES = Attachable::WorkCentre;

    /** What each field is for, by what it is called. */
    public const HELP = [
        'Calendar' => 'When it is open; overtime and downtime come on top.',
        'Like machines' => 'How many jobs it can do at one time.',
        'Pieces in one load' => 'Of an oven or a bath: jobs of one family go in together until it is full. 0: one job '
            .'at a time.',
        'Labour, machine' => 'What an hour costs; frozen on an order when it is released.',
        'Overhead' => 'What comes on top: per cent of labour, by the hour the machine runs and by each piece counted, '
            .'scrap too; frozen with the rates.',
        'Overtime' => 'What the levers of a late order may offer here; the shop\'s own stands in the settings.',
        'Changing over' => 'Minutes on top of the setup of a step when the family before was another.',
    ];

    /** So many families stand in a table that can still be read. */
    private const FAMILIES = 30;

    /**
     * @param  array<int, string>  $families  that are done there, or stand in its table
     * @param  array<int, array<int, int>>  $minutes  by family before, family after
     * @param  list<string>  $people
     * @param  Collection<int, \App\Queries\ProductChange>  $changes
     * @param  Collection<int, HangingFile>  $files
     */
    private function __construct(
        public WorkCentre $centre,
        public array $families,
        private array $minutes,
        public array $people,
        public Collection $changes,
        public Collection $files,
    ) {
    }

    public static function of(int $id): self
    {
        $centre = WorkCentre::query()->findOrFail($id);
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
            HangingFile::on(self::FILES, $centre->id),
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
