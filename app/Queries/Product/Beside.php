<?php

namespace App\Queries\Product;

use App\Models\Item;
use App\Models\RevisionKind;
use App\Reading\Row;
use App\Shop\MadeOf;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Two revisions side by side: what came, what went, what is another. */
final class Beside
{
    /** Fields by which a line tells itself, with the column each is read from. */
    private const LINE = [
        'quantity' => 'quantity',
        'unit' => 'unit',
        'per' => 'basis',
        'scrap %' => 'scrap_percent',
        'step' => 'step_number',
        'designators' => 'designators',
        'issued by' => 'issue_by',
        'supplied by' => 'supplied_by',
        'comes back as' => 'gives',
        'carries cost' => 'share_rule',
        'value or %' => 'share',
    ];

    private const STEP = [
        'name' => 'name',
        'at' => 'place',
        'setup' => 'setup_minutes',
        'run' => 'run_rate',
        'run by' => 'run_basis',
        'batch' => 'batch',
        'crew' => 'crew',
        'setup crew' => 'setup_crew',
        'wait' => 'wait_minutes',
        'move' => 'move_minutes',
        'lead time days' => 'lead_time_days',
        'days on the way' => 'transport_days',
        'price' => 'price',
        'set-up charge' => 'setup_charge',
        'minimum' => 'minimum',
        'work ordered' => 'work_ordered',
        'service' => 'service',
        'family' => 'family',
        'machine each' => 'machine_minutes',
        'passed on in lots of' => 'transfer_quantity',
        'qualification' => 'qualification',
        'tools' => 'tools',
        'instructions' => 'instructions',
    ];

    /** @return list<BesideRow> in the order of the later */
    public static function of(RevisionKind $kind, int $before, int $after): array
    {
        $old = self::read($kind, $before);
        $new = self::read($kind, $after);
        $rows = [];
        foreach ($new + $old as $name => $any) {
            $rows[] = new BesideRow((string) $name, $old[$name] ?? null, $new[$name] ?? null);
        }

        return $rows;
    }

    /** The revision of another item that is in force; null = none. */
    public static function inForceOf(RevisionKind $kind, ?Item $item): ?int
    {
        return $item === null ? null : array_key_first(MadeOf::inForce($kind, [$item->id]));
    }

    /** @return array<string, array<string, string>> values by field, by what a line is known by */
    private static function read(RevisionKind $kind, int $revision): array
    {
        $fields = $kind === RevisionKind::Structure ? self::LINE : self::STEP;
        $all = [];
        $each = function (Row $row) use ($fields, &$all): Row {
            $name = $row->text('known_by');
            for ($n = 2; isset($all[$name]); $n++) {
                $name = "{$row->text('known_by')} ({$n})"; // an item may stand in several lines
            }
            $all[$name] = array_map(fn (string $column): string => self::said($row, $column), $fields);

            return $row;
        };
        Row::all($kind === RevisionKind::Structure ? self::lines($revision) : self::steps($revision), $each);

        return $all;
    }

    private static function said(Row $row, string $column): string
    {
        $value = (string) $row->textOrNull($column);

        return preg_match('/^\d+\.\d+$/D', $value) === 1 ? Figures::amount($value) : str_replace('_', ' ', $value);
    }

    private static function lines(int $structure): Builder
    {
        return DB::table('structure_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'l.unit_id')
            ->where('l.structure_id', $structure)
            ->orderBy('l.position')
            ->select(['l.quantity', 'l.basis', 'l.scrap_percent', 'l.designators', 'l.issue_by', 'l.supplied_by'])
            ->addSelect(['u.code AS unit', 'l.gives', 'l.share_rule', 'l.share'])
            ->selectRaw("CONCAT(i.number, ' ', i.name) AS known_by, CAST(l.step_number AS CHAR) AS step_number");
    }

    private static function steps(int $routing): Builder
    {
        $text = fn (string $column): string => "CAST(s.{$column} AS CHAR) AS {$column}";
        $whole = ['crew', 'setup_crew', 'wait_minutes', 'move_minutes', 'lead_time_days', 'transport_days'];

        return DB::table('routing_steps AS s')
            ->leftJoin('work_centres AS w', 'w.id', 's.work_centre_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->where('s.routing_id', $routing)
            ->orderBy('s.number')
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->select(['s.name', 's.setup_minutes', 's.run_rate', 's.run_basis', 's.batch', 's.price'])
            ->addSelect(['s.instructions', 'f.code AS family', 's.transfer_quantity', 's.qualification', 's.tools'])
            ->leftJoin('items AS e', 'e.id', 's.service_item_id')
            ->addSelect(['s.machine_minutes', 's.work_ordered', 'e.number AS service'])
            ->selectRaw('s.setup_cents / 100 AS setup_charge, s.minimum_cents / 100 AS minimum')
            ->selectRaw(implode(', ', array_map($text, $whole)))
            ->selectRaw("CONCAT('step ', s.number) AS known_by, COALESCE(v.name, w.name) AS place");
    }
}
