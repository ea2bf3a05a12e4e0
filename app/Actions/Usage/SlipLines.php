<?php

namespace App\Actions\Usage;

use App\Models\Item;
use App\Models\Place;
use App\Models\Slip;
use App\Models\SlipLine;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refusal;
use KeepPace\Core\Refused;

/** The lines of a slip as they were typed: writes those that differ, and suggests anew where they are taken from. */
final class SlipLines
{
    /** Fields of a line that are kept as they are typed, with their columns. */
    private const FIELDS = ['quantity' => 'typed', 'unit' => 'unit', 'reason' => 'reason'];

    public function __construct(private readonly Slip $slip)
    {
    }

    /**
     * @param  array<int, array<string, mixed>>  $typed  by line
     *
     * @throws Refused when an item is named that there is not
     */
    public function keep(array $typed): void
    {
        $lines = $this->differing($typed);
        $this->swap($lines, $typed);
        $resized = [];
        $splits = [];
        foreach ($lines as $id => $line) {
            $sent = $typed[$id];
            $was = $line->typed;
            foreach (array_intersect_key(self::FIELDS, $sent) as $field => $column) {
                $line->{$column} = trim((string) $sent[$field]);
            }
            if (array_key_exists('out', $sent)) {
                $line->is_out = (bool) $sent['out'];
            }
            if ($line->isDirty('item_id') || ($line->typed !== $was && ! isset($sent['splits']))) {
                $resized[$id] = $line;
            } elseif (isset($sent['splits']) && is_array($sent['splits'])) {
                $splits[$id] = $sent['splits'];
            }
        }
        $changed = $lines
            ->filter(fn (SlipLine $line): bool => $line->isDirty())
            ->map(fn (SlipLine $line): array => $line->getAttributes());
        foreach ($changed->chunk(500) as $rows) {
            $columns = ['typed', 'unit', 'reason', 'is_out', 'item_id'];
            DB::table('slip_lines')->upsert($rows->values()->all(), ['id'], $columns);
        }
        $this->split($splits);
        $this->suggestAgain($resized);
    }

    /**
     * Only lines that differ become models: of a thousand few do.
     *
     * @param  array<int, array<string, mixed>>  $typed
     * @return Collection<int, SlipLine>  by id
     */
    private function differing(array $typed): Collection
    {
        $there = DB::table('slip_lines')
            ->where('slip_id', $this->slip->id)
            ->whereIn('id', array_keys($typed))
            ->pluck('typed', 'id');
        $same = fn (string $was, int $id): bool => array_diff_key($typed[$id], ['quantity' => 1]) === []
            && $was === trim((string) ($typed[$id]['quantity'] ?? ''));

        return SlipLine::query()->whereKey($there->reject($same)->keys())->get()->keyBy('id');
    }

    /**
     * Another item than was planned.
     *
     * @param  Collection<int, SlipLine>  $lines
     * @param  array<int, array<string, mixed>>  $typed
     */
    private function swap(Collection $lines, array $typed): void
    {
        $numbers = array_filter(array_map(fn (array $line): string => trim((string) ($line['item'] ?? '')), $typed));
        $items = Item::query()
            ->whereIn('number_key', array_unique(array_map(Code::keyOf(...), $numbers)))
            ->pluck('id', 'number_key');
        $wrong = [];
        foreach (array_intersect_key($numbers, $lines->all()) as $id => $number) {
            $item = $items[Code::keyOf($number)] ?? null;
            if ($item === null) {
                $wrong["lines.{$id}.item"] = "No item has the number {$number}.";
            } else {
                $lines[$id]->item_id = $item;
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }

    /**
     * @param  array<int, array<int, array<string, mixed>>>  $typed  by line
     *
     * @throws Refused when something is taken from where nothing lies
     */
    private function split(array $typed): void
    {
        $there = DB::table('slip_splits')
            ->whereIn('slip_line_id', array_keys($typed))
            ->orderBy('id')
            ->get(['slip_line_id', 'code', 'place_id', 'typed'])
            ->map(fn ($row): array => (array) $row)
            ->groupBy('slip_line_id');
        $new = [];
        $gone = [];
        $stores = Place::query()->where('kind', 'store')->pluck('id')->all();
        foreach ($typed as $line => $rows) {
            if (array_diff(array_map(intval(...), array_filter(array_column($rows, 'place'))), $stores) !== []) {
                throw Refused::because(
                    'Nothing is taken from there. Choose one of the places offered.',
                    "lines.{$line}.splits",
                );
            }
            $rows = self::splitRows($line, $rows);
            if (($there[$line] ?? collect())->all() !== $rows) {
                $gone[] = $line;
                array_push($new, ...$rows);
            }
        }
        DB::table('slip_splits')->whereIn('slip_line_id', $gone)->delete();
        foreach (array_chunk($new, 500) as $rows) {
            DB::table('slip_splits')->insert($rows);
        }
    }

    /**
     * Without those that are empty.
     *
     * @param  array<int, array<string, mixed>>  $typed
     * @return list<array{slip_line_id: int, code: string, place_id: int|null, typed: string}>
     */
    private static function splitRows(int $line, array $typed): array
    {
        $rows = array_map(
            fn (array $row): array => [
                'slip_line_id' => $line,
                'code' => mb_substr(trim((string) ($row['code'] ?? '')), 0, 60),
                'place_id' => ($row['place'] ?? '') === '' ? null : (int) $row['place'],
                'typed' => mb_substr(trim((string) ($row['quantity'] ?? '')), 0, 30),
            ],
            $typed,
        );

        return array_values(array_filter($rows, fn (array $row): bool => $row['code'].$row['typed'] !== ''));
    }

    /**
     * Another quantity or another item: where it is taken from is suggested anew.
     *
     * @param  array<int, SlipLine>  $lines  by id
     */
    private function suggestAgain(array $lines): void
    {
        $items = Item::query()
            ->with('unit', 'units.unit')
            ->whereKey(array_map(fn (SlipLine $line): int => $line->item_id, $lines))
            ->get()
            ->keyBy('id');
        $owners = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->where('c.supplied_by', 'customer')
            ->whereIn('c.id', array_filter(array_map(fn (SlipLine $line): ?int => $line->component_id, $lines)))
            ->pluck('o.owner_id', 'c.id');
        $suggest = new Suggestions(
            array_values($items->keys()->all()),
            $this->slip->booked_on ?? now(config()->string('pace.zone'))->toDateString(),
        );
        DB::table('slip_splits')->whereIn('slip_line_id', array_keys($lines))->delete();
        $new = [];
        foreach ($lines as $id => $line) {
            $item = $items[$line->item_id];
            try {
                $amount = $item->quantity($line->typed ?: '0', $line->unit ?: null)->amount;
            } catch (Refusal) {
                continue; // typed wrong: told when it is booked
            }
            $owner = (int) ($owners[$line->component_id] ?? 0);
            $parts = $amount->isPositive() ? $suggest->take($item, $line->order_id, $owner, $amount) : [];
            array_push($new, ...array_map(fn (array $part): array => ['slip_line_id' => $id, ...$part], $parts));
        }
        DB::table('slip_splits')->insert($new);
    }
}
