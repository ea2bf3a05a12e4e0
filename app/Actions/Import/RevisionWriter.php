<?php

namespace App\Actions\Import;

use App\Books\ProductChanges;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;

/** Writes structures and routings: an approved revision stays as it is; a difference asks for a new revision. */
final readonly class RevisionWriter
{
    public function __construct(
        private Folder $folder,
        private ImportedIds $ids,
        private ProductChanges $changes,
        private ImportResult $result,
    ) {
    }

    public function routings(): void
    {
        $this->write('routings', 'routing_steps', 'routing_id', 'number', $this->step(...));
    }

    public function structures(): void
    {
        $this->write('structures', 'structure_lines', 'structure_id', 'position', $this->line(...));
    }

    /**
     * @param  string  $file  also the table of the heads
     * @param  string  $by  column lines are known and sorted by
     * @param  callable(array<string, ?string>): array<string, mixed>  $line
     */
    private function write(string $file, string $lineTable, string $parent, string $by, callable $line): void
    {
        $revisions = collect($this->folder->rowsOf($file))
            ->map(fn (array $row, int $at): array => [...$row, '@' => (string) $at])
            ->groupBy(fn (array $row): string => Code::keyOf("{$row['item']}\0{$row['revision']}"));
        foreach ($revisions as $rows) {
            $first = $rows->firstOrFail();
            $itemId = $this->ids->of(['items', 'number'], $first['item']);
            $want = array_values($rows->map($line)->sortBy($by)->all());
            $old = DB::table($file)
                ->where('item_id', $itemId)
                ->where('revision_key', Code::keyOf((string) $first['revision']))
                ->first(['id', 'status']);
            if ($old === null) {
                $id = DB::table($file)->insertGetId(['item_id' => $itemId, ...self::head($first)]);
                DB::table($lineTable)->insert(self::of($want, $parent, $id));
            }
            $lines = [$lineTable, $parent, $by];
            $how = $old === null
                ? 'new'
                : $this->change($file, (int) $old->id, (string) $old->status, $first, $lines, $want);
            $how === null ?: $this->result->add($file, $how, count($want));
        }
    }

    /**
     * @param  array<string, ?string>  $first  line of the revision in the file
     * @param  array{string, string, string}  $lines  their table, its column of the head, what they are known by
     * @param  list<array<string, mixed>>  $want
     * @return string|null  what became of it; null = it is approved and stays
     */
    private function change(string $file, int $id, string $status, array $first, array $lines, array $want): ?string
    {
        [$table, $parent, $by] = $lines;
        $there = DB::table($table)->where($parent, $id);
        $have = array_values($there->clone()->orderBy($by)->get()->map(fn ($row): array => (array) $row)->all());
        if (self::isSame($have, $want)) {
            return 'same';
        }
        if ($status === 'approved') {
            $this->stays($file, $first);

            return null;
        }
        $this->trail($file, $id, $first, $status, $by, $have, $want);
        $there->delete();
        DB::table($file)->where('id', $id)->update(self::head($first, ['status', 'effective_from']));
        DB::table($table)->insert(self::of($want, $parent, $id));

        return 'changed';
    }

    /**
     * @param  list<array<string, mixed>>  $have
     * @param  list<array<string, mixed>>  $want
     */
    private static function isSame(array $have, array $want): bool
    {
        $differs = fn (array $row, int $i): bool => RowDiff::differs($have[$i], $row);

        return count($have) === count($want) && array_filter($want, $differs, ARRAY_FILTER_USE_BOTH) === [];
    }

    /**
     * @param  array<string, ?string>  $row
     * @param  list<string>  $columns
     * @return array<string, ?string>
     */
    private static function head(array $row, array $columns = ['revision', 'status', 'effective_from']): array
    {
        return array_intersect_key($row, array_flip($columns));
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @return list<array<string, mixed>>
     */
    private static function of(array $lines, string $parent, int $id): array
    {
        return array_map(fn (array $line): array => [...$line, $parent => $id], $lines);
    }

    /** @param  array<string, ?string>  $first */
    private function stays(string $file, array $first): void
    {
        $this->folder->problem(
            $file,
            (int) $first['@'],
            'revision',
            "revision {$first['revision']} of {$first['item']} is approved and differs from this. Give the change a "
                .'new revision.',
        );
    }

    /**
     * What of a draft is another than before: by line and field.
     *
     * @param  array<string, ?string>  $first
     * @param  list<array<string, mixed>>  $have
     * @param  list<array<string, mixed>>  $want
     */
    private function trail(
        string $file,
        int $id,
        array $first,
        string $status,
        string $by,
        array $have,
        array $want,
    ): void {
        $keep = fn (string $what, string $was, string $is) => $this->changes->field(
            $file,
            $id,
            "{$first['item']} revision {$first['revision']}",
            $what,
            $was,
            $is,
        );
        $word = $by === 'number' ? 'step' : 'position'; // what a line is called in the file
        [$before, $after] = [array_column($have, null, $by), array_column($want, null, $by)];
        foreach ($before + $after as $at => $any) {
            if (! isset($before[$at])) {
                $keep("{$word} {$at}", '', 'there');
            } elseif (! isset($after[$at])) {
                $keep("{$word} {$at}", 'there', 'taken out');
            } else {
                foreach (RowDiff::of($before[$at], $after[$at]) as $column) {
                    $field = str_replace('_', ' ', $column);
                    $keep("{$word} {$at}, {$field}", (string) $before[$at][$column], (string) $after[$at][$column]);
                }
            }
        }
        if (! RowDiff::isSame($status, $first['status'])) {
            $keep('status', $status, (string) $first['status']);
        }
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function step(array $row): array
    {
        return ['number' => (int) $row['step'], 'name' => $row['name'],
            'work_centre_id' => $this->ids->of(['work_centres', 'code'], $row['work_centre']),
            'supplier_id' => $this->ids->of(['suppliers', 'number'], $row['supplier']),
            ...collect($row)
                ->only([
                    'setup_minutes',
                    'run_basis',
                    'run_rate',
                    'batch',
                    'crew',
                    'wait_minutes',
                    'move_minutes',
                    'lead_time_days',
                    'price',
                    'instructions',
                    'family',
                    'alternatives',
                ])
                ->all(),
        ];
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function line(array $row): array
    {
        $component = $this->ids->of(['items', 'number'], $row['component']);

        return [
            'position' => (int) $row['position'],
            'item_id' => $component,
            'quantity' => $row['quantity'],
            'unit_id' => $this->ids->of(['units', 'code'], $row['unit'])
                ?? (int) DB::table('items')->where('id', $component)->value('unit_id'),
            'basis' => $row['basis'],
            'scrap_percent' => $row['scrap_percent'],
            'step_number' => $row['step'] === '' ? null : (int) $row['step'],
            'designators' => $row['designators'],
            'issue_by' => $row['issue_by'],
            'supplied_by' => $row['supplied_by'],
        ];
    }
}
