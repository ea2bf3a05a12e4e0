<?php

namespace App\Actions\Import;

use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\ProductChanges;
use App\Actions\Schedule\CalendarTrail;
use App\Models\Calendar;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Naming\Code;

/**
 * Writes product data of a checked import: what is new is added, what differs is changed, the rest is left alone.
 *
 * @phpstan-import-type State from CalendarTrail
 */
final class ProductDataWriter
{
    /** @var array<string, array<int, string>> codes by table and id */
    private array $codes = [];

    /** @var array<string, array<string, int>> ids by "table.column" and value in lower case */
    private array $ids = [];

    private ProductChanges $changes;

    /** @var array<int, array{code: string, before: ?State}> the calendars this changes; null: it is new */
    private array $calendars = [];

    /** @var array<int, string> standard costs that changed, in euros by item: their stock is to be revalued */
    private array $costs = [];

    /**
     * @param  callable(string, int): void  $progress
     * @return array<int, string> standard costs that changed, in euros by item
     */
    public function write(Folder $folder, Ledger $ledger, ImportResult $result, callable $progress): array
    {
        $this->ids = [];
        $this->costs = [];
        $this->calendars = [];
        $this->changes = new ProductChanges($ledger->booking->id);
        $this->shifts($folder, $result);
        foreach (Files::all() as $spec) {
            if ($spec->name === 'holidays') {
                $this->holidays($folder, $spec, $result);
            } elseif ($spec->table !== null && isset($folder->rows[$spec->name])) {
                $progress("Writing {$spec->file()}", 0);
                $this->table($folder->rows[$spec->name], $spec, $spec->table, $result);
            }
        }
        $this->revisions($folder, 'routings', 'routing_steps', 'routing_id', 'step', $result);
        $this->revisions($folder, 'structures', 'structure_lines', 'structure_id', 'position', $result);
        $this->calendarsChanged();
        $this->changes->write();

        return $this->costs;
    }

    /**
     * Id of a row by its code or number.
     *
     * @param  array{string, string}  $refers table and column
     */
    public function id(array $refers, ?string $value): ?int
    {
        if ($value === null || $value === '') {
            return null;
        }
        $what = implode('.', $refers);
        $this->ids[$what] ??= DB::table($refers[0])->pluck('id', $refers[1])
            ->mapWithKeys(fn ($id, $code): array => [Code::keyOf((string) $code) => (int) $id])->all();

        return $this->ids[$what][Code::keyOf($value)]
            ?? throw new \LogicException("{$what} {$value} was checked but is not there.");
    }

    /** @param  array<int, array<string, ?string>>  $rows */
    private function table(array $rows, FileSpec $spec, string $table, ImportResult $result): void
    {
        $keys = array_map(fn (string $name): string => (string) $spec->column($name)?->into, $spec->key);
        $there = [];
        foreach (DB::table($table)->get() as $row) {
            $there[Code::keyOf(implode(
                "\0",
                array_map(fn (string $key): string => (string) $row->{$key}, $keys),
            ))] = $row;
        }
        $new = [];
        foreach ($rows as $row) {
            $values = $this->values($spec, $row);
            $old = $there[Code::keyOf(implode(
                "\0",
                array_map(fn (string $key): string => (string) $values[$key], $keys),
            ))]
                ?? null;
            if ($old === null) {
                $new[] = $values;
            } elseif ($this->differs($old, $values)) {
                DB::table($table)->where('id', $old->id)->update($values);
                $this->changed($spec, $table, $old, $values);
                $result->add($spec->name, 'changed');
            } else {
                $result->add($spec->name, 'same');
            }
        }
        foreach (array_chunk($new, 500) as $chunk) {
            DB::table($table)->insert($chunk);
            $result->add($spec->name, 'new', count($chunk));
        }
        if ($table === 'items' && $new !== []) {
            DB::statement(
                'INSERT INTO item_stock (item_id) SELECT i.id FROM items i LEFT JOIN item_stock s ON s.item_id = '
                    .'i.id WHERE s.item_id IS NULL',
            );
        }
        $this->ids = [];
    }

    /**
     * Keeps what of a row is another than before, in words.
     *
     * @param  array<string, mixed>  $values
     */
    private function changed(FileSpec $spec, string $table, \stdClass $old, array $values): void
    {
        $name = trim(implode(
            ' ',
            array_map(
                fn (string $key): string => $this->word(
                    $spec->column($key),
                    $old->{(string) $spec->column($key)?->into},
                ),
                $spec->key,
            ),
        ));
        foreach ($spec->columns as $column) {
            if (! self::isSame($old->{$column->into}, $values[$column->into])) {
                $this->changes->field(
                    $table,
                    $old->id,
                    $name,
                    str_replace('_', ' ', $column->name),
                    $this->word($column, $old->{$column->into}),
                    $this->word($column, $values[$column->into]),
                );
            }
        }
        if (
            $table === 'items'
            && $values['costing'] === CostingRule::Standard->value
            && ! self::isSame($old->cost, $values['cost'])
        ) {
            $this->costs[$old->id] = (string) $values['cost'];
        }
    }

    /** A value as it stands in the file: what it refers to by its code. */
    private function word(?Column $column, mixed $value): string
    {
        if ($column?->refers === null || $value === null) {
            return (string) $value;
        }
        [$table, $code] = $column->refers;
        $this->codes[$table] ??= DB::table($table)->pluck($code, 'id')->all();

        return (string) ($this->codes[$table][$value] ?? $value);
    }

    private function shifts(Folder $folder, ImportResult $result): void
    {
        $byCalendar = collect($folder->rows['shifts'] ?? [])
            ->groupBy(fn (array $row): string => (string) $row['calendar']);
        foreach ($byCalendar as $code => $rows) {
            $calendar = Calendar::query()->firstWhere('code_key', Code::keyOf((string) $code))
                ?? Calendar::query()->create(['code' => (string) $code]);
            $want = $rows
                ->map(
                    fn (array $row): array => [
                        'calendar_id' => $calendar->id,
                        'weekday' => (int) $row['weekday'],
                        'from_time' => $row['from'],
                        'to_time' => $row['to'],
                        'is_break' => $row['kind'] === 'break' ? 1 : 0,
                    ],
                )
                ->sortBy(fn (array $row): string => json_encode($row) ?: '')
                ->values()
                ->all();
            $have = DB::table('shifts')
                ->where('calendar_id', $calendar->id)
                ->get(['calendar_id', 'weekday', 'from_time', 'to_time', 'is_break'])
                ->map(fn ($row): array => (array) $row)
                ->sortBy(fn (array $row): string => json_encode($row) ?: '')
                ->values()
                ->all();
            if ($want === $have) {
                $result->add('shifts', 'same', count($want));

                continue;
            }
            $this->calendar($calendar->id, (string) $code, $calendar->wasRecentlyCreated);
            // a calendar in the file is the whole week
            DB::table('shifts')->where('calendar_id', $calendar->id)->delete();
            DB::table('shifts')->insert($want);
            $result->add('shifts', $have === [] ? 'new' : 'changed', count($want));
        }
        $this->ids = [];
    }

    /** Before the first change of a calendar: what it was. */
    private function calendar(int $id, string $code, bool $isNew = false): void
    {
        $this->calendars[$id] ??= ['code' => $code, 'before' => $isNew ? null : CalendarTrail::state($id)];
    }

    private function calendarsChanged(): void
    {
        foreach ($this->calendars as $id => $one) {
            if ($one['before'] !== null) {
                CalendarTrail::between($this->changes, $id, $one['code'], $one['before'], CalendarTrail::state($id));
            }
        }
        $this->calendars = [];
    }

    private function holidays(Folder $folder, FileSpec $spec, ImportResult $result): void
    {
        foreach ($folder->rows['holidays'] ?? [] as $row) {
            $key = [
                'calendar_id' => $this->id(['calendars', 'code'], $row['calendar']),
                'date' => $row['date'],
                'kind' => $row['kind'],
                'from_time' => $row['from'] ?? '',
            ];
            $old = DB::table('calendar_days')->where($key)->first();
            $values = [...$key, 'to_time' => $row['to'] ?? '', 'name' => $row['name']];
            if ($old === null || $this->differs($old, $values)) {
                $this->calendar((int) $key['calendar_id'], (string) $row['calendar']);
                DB::table('calendar_days')->updateOrInsert($key, $values);
            }
            $result->add($spec->name, $old === null ? 'new' : ($this->differs($old, $values) ? 'changed' : 'same'));
        }
    }

    /** Structures and routings: an approved revision stays as it is; a difference asks for a new revision. */
    private function revisions(
        Folder $folder,
        string $file,
        string $lineTable,
        string $parent,
        string $order,
        ImportResult $result,
    ): void {
        $head = ['item', 'revision', 'status', 'effective_from'];
        foreach (
            collect($folder->rows[$file] ?? [])
                ->map(fn (array $row, int $line): array => [...$row, '@' => (string) $line])
                ->groupBy(fn (array $row): string => Code::keyOf("{$row['item']}\0{$row['revision']}")) as $rows
        ) {
            $first = $rows->first();
            $itemId = $this->id(['items', 'number'], $first['item']);
            $want = $rows->map(fn (array $row): array => $file === 'routings' ? $this->step($row) : $this->line($row))
                ->sortBy($file === 'routings' ? 'number' : 'position')->values();
            $old = DB::table($file)
                ->where('item_id', $itemId)
                ->where('revision_key', Code::keyOf((string) $first['revision']))
                ->first();
            if ($old !== null) {
                $have = DB::table($lineTable)
                    ->where($parent, $old->id)
                    ->orderBy($file === 'routings' ? 'number' : 'position')
                    ->get();
                $same = $have->count() === $want->count()
                    && $want->every(fn (array $row, int $i): bool => ! $this->differs($have[$i], $row));
                if ($same) {
                    $result->add($file, 'same', $want->count());

                    continue;
                }
                if ($old->status === 'approved') {
                    $folder->problem(
                        $file,
                        (int) $first['@'],
                        'revision',
                        "revision {$first['revision']} of {$first['item']} is approved and differs from this. Give "
                            .'the change a new revision.',
                    );

                    continue;
                }
                $this->linesChanged(
                    $file,
                    $old->id,
                    "{$first['item']} revision {$first['revision']}",
                    $order,
                    $have->all(),
                    $want->all(),
                );
                if (! self::isSame($old->status, $first['status'])) {
                    $this->changes->field(
                        $file,
                        $old->id,
                        "{$first['item']} revision {$first['revision']}",
                        'status',
                        $old->status,
                        $first['status'],
                    );
                }
                DB::table($lineTable)->where($parent, $old->id)->delete();
                DB::table($file)->where('id', $old->id)
                    ->update(['status' => $first['status'], 'effective_from' => $first['effective_from']]);
            }
            $id = $old->id
                ?? DB::table($file)->insertGetId([
                    'item_id' => $itemId,
                    ...collect($first)->only(array_slice($head, 1))->all(),
                ]);
            DB::table($lineTable)->insert($want->map(fn (array $row): array => [...$row, $parent => $id])->all());
            $result->add($file, $old === null ? 'new' : 'changed', $want->count());
        }
    }

    /**
     * What of the lines of a draft is another than before: by line and field.
     *
     * @param  string  $number  what a line is known by: its step or position
     * @param  array<array-key, \stdClass>  $have
     * @param  array<array-key, array<string, mixed>>  $want
     */
    private function linesChanged(string $kind, int $id, string $record, string $number, array $have, array $want): void
    {
        $by = $kind === 'routings' ? 'number' : 'position';
        $before = array_column(array_map(fn (\stdClass $row): array => (array) $row, $have), null, $by);
        $after = array_column($want, null, $by);
        foreach ($before + $after as $at => $any) {
            if (! isset($before[$at], $after[$at])) {
                $this->changes->field(
                    $kind,
                    $id,
                    $record,
                    "{$number} {$at}",
                    isset($before[$at]) ? 'there' : '',
                    isset($after[$at]) ? 'there' : 'taken out',
                );

                continue;
            }
            foreach ($after[$at] as $column => $value) {
                if (! self::isSame($before[$at][$column], $value)) {
                    $this->changes->field(
                        $kind,
                        $id,
                        $record,
                        "{$number} {$at}, ".str_replace('_', ' ', $column),
                        (string) $before[$at][$column],
                        (string) $value,
                    );
                }
            }
        }
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function step(array $row): array
    {
        return ['number' => (int) $row['step'], 'name' => $row['name'],
            'work_centre_id' => $this->id(['work_centres', 'code'], $row['work_centre']),
            'supplier_id' => $this->id(['suppliers', 'number'], $row['supplier']),
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
        $component = $this->id(['items', 'number'], $row['component']);

        return [
            'position' => (int) $row['position'],
            'item_id' => $component,
            'quantity' => $row['quantity'],
            'unit_id' => $this->id(['units', 'code'], $row['unit'])
                ?? (int) DB::table('items')->where('id', $component)->value('unit_id'),
            'basis' => $row['basis'],
            'scrap_percent' => $row['scrap_percent'],
            'step_number' => $row['step'] === '' ? null : (int) $row['step'],
            'designators' => $row['designators'],
            'issue_by' => $row['issue_by'],
            'supplied_by' => $row['supplied_by'],
        ];
    }

    /**
     * @param  array<string, ?string>  $row
     * @return array<string, mixed>
     */
    private function values(FileSpec $spec, array $row): array
    {
        $values = [];
        foreach ($spec->columns as $column) {
            $values[$column->into] =
                $column->refers === null ? $row[$column->name] : $this->id($column->refers, $row[$column->name]);
        }

        return $values;
    }

    /** @param  array<string, mixed>  $values */
    private function differs(\stdClass $old, array $values): bool
    {
        foreach ($values as $column => $value) {
            if (! self::isSame($old->{$column}, $value)) {
                return true;
            }
        }

        return false;
    }

    private static function isSame(mixed $was, mixed $is): bool
    {
        return is_numeric($was) && is_numeric($is)
            ? BigDecimal::of((string) $was)->isEqualTo((string) $is)
            : (string) $was === (string) $is;
    }
}
