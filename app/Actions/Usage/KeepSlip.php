<?php

namespace App\Actions\Usage;

use App\Models\Item;
use App\Models\Order;
use App\Models\Person;
use App\Models\Place;
use App\Models\Slip;
use App\Models\SlipLine;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Refused;

/** Keeps a slip as it was typed, right or wrong: it is judged when it is booked. */
final class KeepSlip
{
    public function handle(int $id, int $version, SlipTyped $typed, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $version, $typed, $by): Slip {
            $slip = self::open($id, $version);
            $this->keep($slip, $typed->lines);
            $slip->fill(['note' => $typed->note, 'booked_on' => $typed->bookedOn]);

            return self::changed($slip, $by);
        }, attempts: 5);
    }

    /** Adds a line: an item that was not planned, for one of the slip's orders. */
    public function add(int $id, int $version, UnplannedLine $new, Person $by): Slip
    {
        return DB::transaction(function () use ($id, $version, $new, $by): Slip {
            $slip = self::open($id, $version);
            $item = Item::query()->with('unit', 'units.unit')->findOrFail($new->itemId);
            if (! $item->isIssued()) {
                throw Refused::because($item->whyNeverIssued(), 'item');
            }
            $amount = $item->typed($new->quantity)->amount;
            $order = Order::query()->findOrFail($new->orderId);
            $planned = $order->components()->where('item_id', $item->id)->whereNull('stands_for_id')->value('id');
            $line = $slip
                ->lines()
                ->create([
                    'position' => (int) $slip->lines()->max('position') + 10,
                    'order_id' => $new->orderId,
                    'component_id' => $planned,
                    'item_id' => $item->id,
                    'step_number' => $new->stepNumber,
                    'typed' => $new->quantity->amount,
                    'unit' => (string) $new->quantity->unit,
                    'reason' => $new->reason,
                ]);
            $suggest = new Suggestions(
                [$item->id],
                $slip->booked_on ?? now(config()->string('pace.zone'))->toDateString(),
            );
            foreach ($suggest->take($item, $new->orderId, 0, $amount) as $part) {
                $line->splits()->create($part);
            }

            return self::changed($slip, $by);
        }, attempts: 5);
    }

    /**
     * Locks an open slip.
     *
     * @throws Refused when it is booked, given up, or changed by another meanwhile
     */
    public static function open(int $id, ?int $version): Slip
    {
        $slip = Slip::query()->with('changedBy')->lockForUpdate()->findOrFail($id);
        if ($slip->state !== 'open') {
            throw Refused::because(
                $slip->state === 'booked'
                    ? "Slip {$slip->id} is booked already."
                    : "Slip {$slip->id} was given up by {$slip->changedBy->name}.",
            );
        }
        if ($version !== null && $slip->version !== $version) {
            throw Refused::because(
                "{$slip->changedBy->name} changed this slip meanwhile. Nothing of yours is lost: look at what is there now, then send again.",
            );
        }

        return $slip;
    }

    public static function changed(Slip $slip, Person $by): Slip
    {
        $slip->fill(['changed_by' => $by->id, 'version' => $slip->version + 1])->save();

        return $slip;
    }

    /** @param  array<int, array<string, mixed>>  $typed */
    private function keep(Slip $slip, array $typed): void
    {
        // only lines that differ become models: of a thousand few do
        $same = fn (\stdClass $line): bool => array_diff_key($typed[$line->id], ['quantity' => 1]) === []
            && $line->typed === trim((string) ($typed[$line->id]['quantity'] ?? ''));
        $ids = DB::table('slip_lines')
            ->where('slip_id', $slip->id)
            ->whereIn('id', array_keys($typed))
            ->get(['id', 'typed'])
            ->reject($same)
            ->pluck('id');
        $lines = SlipLine::query()->whereKey($ids)->get()->keyBy('id');
        $numbers = array_filter(array_map(fn (array $line): string => trim((string) ($line['item'] ?? '')), $typed));
        $others = Item::query()
            ->whereIn('number_key', array_unique(array_map(Code::keyOf(...), $numbers)))
            ->pluck('id', 'number_key');
        $wrong = [];
        $resized = [];
        $splits = [];
        foreach ($lines as $id => $line) {
            $sent = $typed[$id];
            $was = $line->typed;
            foreach (['quantity' => 'typed', 'unit' => 'unit', 'reason' => 'reason'] as $field => $column) {
                if (array_key_exists($field, $sent)) {
                    $line->{$column} = trim((string) $sent[$field]);
                }
            }
            if (array_key_exists('out', $sent)) {
                $line->is_out = (bool) $sent['out'];
            }
            if (isset($numbers[$id])) {
                $item = $others[Code::keyOf($numbers[$id])] ?? null;
                $item === null
                    ? ($wrong["lines.{$id}.item"] = "No item has the number {$numbers[$id]}.")
                    : ($line->item_id = $item);
            }
            if ($line->isDirty('item_id') || ($line->typed !== $was && ! isset($sent['splits']))) {
                $resized[$id] = $line;
            } elseif (isset($sent['splits']) && is_array($sent['splits'])) {
                $splits[$id] = $sent['splits'];
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
        foreach (
            array_chunk(
                $lines
                    ->filter(fn (SlipLine $line): bool => $line->isDirty())
                    ->map(fn (SlipLine $line): array => $line->getAttributes())
                    ->all(),
                500,
            ) as $rows
        ) {
            DB::table('slip_lines')->upsert($rows, ['id'], ['typed', 'unit', 'reason', 'is_out', 'item_id']);
        }
        $this->splits($splits);
        $this->suggestAgain($slip, $resized);
    }

    /** @param  array<int, array<int, array<string, mixed>>>  $typed by line */
    private function splits(array $typed): void
    {
        $there = DB::table('slip_splits')
            ->whereIn('slip_line_id', array_keys($typed))
            ->orderBy('id')
            ->get()
            ->groupBy('slip_line_id');
        $new = [];
        $gone = [];
        $stores = Place::query()->where('kind', 'store')->pluck('id')->flip();
        foreach ($typed as $line => $rows) {
            foreach (array_filter(array_column($rows, 'place')) as $place) {
                if (! $stores->has((int) $place)) {
                    throw Refused::because(
                        'Nothing is taken from there. Choose one of the places offered.',
                        "lines.{$line}.splits",
                    );
                }
            }
            $rows = array_values(
                array_filter(
                    array_map(
                        fn (array $row): array => [
                            'slip_line_id' => $line,
                            'code' => mb_substr(trim((string) ($row['code'] ?? '')), 0, 60),
                            'place_id' => ($row['place'] ?? '') === '' ? null : (int) $row['place'],
                            'typed' => mb_substr(trim((string) ($row['quantity'] ?? '')), 0, 30),
                        ],
                        $rows,
                    ),
                    fn (array $row): bool => $row['code'].$row['typed'] !== '',
                ),
            );
            $was = collect($there[$line] ?? [])
                ->map(
                    fn ($row): array => [
                        'slip_line_id' => $row->slip_line_id,
                        'code' => $row->code,
                        'place_id' => $row->place_id,
                        'typed' => $row->typed,
                    ],
                )
                ->all();
            if ($was !== $rows) {
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
     * Another quantity or another item: where it is taken from is suggested anew.
     *
     * @param  array<int, SlipLine>  $lines
     */
    private function suggestAgain(Slip $slip, array $lines): void
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
            $slip->booked_on ?? now(config()->string('pace.zone'))->toDateString(),
        );
        DB::table('slip_splits')->whereIn('slip_line_id', array_keys($lines))->delete();
        $new = [];
        foreach ($lines as $id => $line) {
            try {
                $amount = $items[$line->item_id]->quantity($line->typed ?: '0', $line->unit ?: null)->amount;
            } catch (\Throwable) {
                continue; // typed wrong: told when it is booked
            }
            foreach (
                $amount->isPositive()
                    ? $suggest->take(
                        $items[$line->item_id],
                        $line->order_id,
                        (int) ($owners[$line->component_id] ?? 0),
                        $amount,
                    )
                    : [] as $part
            ) {
                $new[] = ['slip_line_id' => $id, ...$part];
            }
        }
        DB::table('slip_splits')->insert($new);
    }
}
