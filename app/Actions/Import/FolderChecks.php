<?php

namespace App\Actions\Import;

use App\Access\Deed;
use App\Models\Person;
use App\Queries\Shop\StepAlternatives;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Conversion;
use KeepPace\Core\Quantity\Unit;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\Structures;

/** Checks what the lines of an import mean together and against what is there already. */
final class FolderChecks
{
    /**
     * @var array<string, array{kind: string, unit: string, tracking: string, costing: string}> by number in lower case
     */
    private array $items = [];

    /** @var array<string, string> euros a unit, of items that are there, by key */
    private array $costs = [];

    /** @var array<string, Unit> */
    private array $units = [];

    /** @var array<string, array<string, array{string, string}>> p and q by item and unit */
    private array $ratios = [];

    /** @var array<string, string> numbers as first seen, by key */
    private array $spelt = [];

    private function __construct(private readonly Folder $folder, private readonly Person $by)
    {
    }

    public static function run(Folder $folder, Person $by): void
    {
        $self = new self($folder, $by);
        $self->load();
        $self->items();
        $self->structures();
        $self->routings();
        $self->openingStock();
        $self->customerOrders();
        $self->orders();
    }

    private function load(): void
    {
        foreach (DB::table('units')->get() as $unit) {
            $this->units[Code::keyOf($unit->code)] = new Unit($unit->code, $unit->name, $unit->decimals);
        }
        foreach ($this->rows('units') as $row) {
            $this->units[Code::keyOf((string) $row['code'])] = new Unit((string) $row['code'], (string) $row['name'],
                max(0, min(6, (int) $row['decimals'])));
        }
        foreach (DB::table('items')
            ->join('units', 'units.id', 'unit_id')
            ->get(['number', 'kind', 'code', 'tracking', 'costing', 'cost']) as $item) {
            $this->costs[Code::keyOf($item->number)] = $item->cost;
            $this->items[Code::keyOf($item->number)] = [
                'kind' => $item->kind,
                'unit' => $item->code,
                'tracking' => $item->tracking,
                'costing' => $item->costing,
            ];
        }
        foreach (
            DB::table('item_units')
                ->join('items', 'items.id', 'item_id')
                ->join('units', 'units.id', 'item_units.unit_id')
                ->get(['number', 'code', 'p', 'q']) as $row
        ) {
            $this->ratios[Code::keyOf($row->number)][Code::keyOf($row->code)] = [(string) $row->p, (string) $row->q];
        }
    }

    private function items(): void
    {
        $moved = DB::table('moves')->join('items', 'items.id', 'item_id')->distinct()->pluck('number')
            ->map(fn ($number) => Code::keyOf($number))->flip();
        foreach ($this->rows('units') as $line => $row) {
            if ((int) $row['decimals'] > 6) {
                $this->folder->problem('units', $line, 'decimals', 'must be 6 or less.');
            }
        }
        foreach ($this->rows('items') as $line => $row) {
            $key = Code::keyOf((string) $row['number']);
            if (
                isset($this->items[$key], $moved[$key])
                && Code::keyOf($this->items[$key]['unit']) !== Code::keyOf((string) $row['unit'])
            ) {
                $this->folder->problem(
                    'items',
                    $line,
                    'unit',
                    "{$row['number']} has been moved in {$this->items[$key]['unit']}; its stock unit stays. Add a "
                        .'conversion instead.',
                );
            }
            foreach (isset($this->items[$key], $moved[$key]) ? ['tracking', 'costing'] : [] as $what) {
                if ($this->items[$key][$what] !== (string) $row[$what]) {
                    $this->folder->problem(
                        'items',
                        $line,
                        $what,
                        "{$row['number']} has been moved with {$what} {$this->items[$key][$what]}, and that stays. "
                            .'Give the new way a new item.',
                    );
                }
            }
            $this->standardCost($line, $key, $row);
            if ($row['costing'] === 'own' && $row['tracking'] === Tracking::None->value) {
                $this->folder->problem(
                    'items',
                    $line,
                    'costing',
                    'own cost is kept by lot or serial: track the item, or take the average.',
                );
            }
            $this->items[$key] = ['kind' => (string) $row['kind'], 'unit' => (string) $row['unit'],
                'tracking' => (string) $row['tracking'], 'costing' => (string) $row['costing']];
        }
        foreach ($this->rows('item-units') as $row) {
            $this->ratios[Code::keyOf((string) $row['item'])][Code::keyOf((string) $row['unit'])] = [(string) $row['p'],
                (string) $row['q']];
        }
    }

    /**
     * A standard cost is set by who may value stock.
     *
     * @param  array<string, ?string>  $row
     */
    private function standardCost(int $line, string $key, array $row): void
    {
        $was = $this->costs[$key] ?? null;
        if (
            $was !== null
            && $row['costing'] === 'standard'
            && ! BigDecimal::of((string) $row['cost'])->isEqualTo($was)
            && ! $this->by->may(Deed::Value)
        ) {
            $this->folder->problem(
                'items',
                $line,
                'cost',
                "{$row['number']} is valued at a standard cost of "
                    .Amount::plain($was)
                    .', which only who may value stock can change: it revalues what lies there. Leave it as it is, '
                    .'or ask the cost clerk.',
            );
        }
    }

    private function structures(): void
    {
        $lines = [];
        foreach (
            DB::table('structure_lines AS l')
                ->join('structures AS s', 's.id', 'structure_id')
                ->join('items AS p', 'p.id', 's.item_id')
                ->join('items AS c', 'c.id', 'l.item_id')
                ->where('s.status', 'approved')
                ->get(['p.number AS parent', 'c.number AS component']) as $row
        ) {
            $lines[$this->spelt($row->parent)][] = new Line('', $this->spelt($row->component), BigRational::one());
        }
        foreach ($this->rows('structures') as $line => $row) {
            $this->quantity(
                'structures',
                $line,
                (string) $row['component'],
                (string) $row['quantity'],
                (string) $row['unit'],
                exact: false,
            );
            $kind = $this->item((string) $row['item'])['kind'];
            if (! in_array($kind, ['made', 'assembled', 'phantom'], true)) {
                $this->folder->problem('structures', $line, 'item',
                    "{$row['item']} is {$kind}; only what is made, assembled or a phantom has a structure.");
            }
            if (BigDecimal::of((string) $row['scrap_percent'])->isGreaterThanOrEqualTo(100)) {
                $this->folder->problem('structures', $line, 'scrap_percent', 'must be below 100.');
            }
            $lines[$this->spelt((string) $row['item'])][] = new Line(
                '',
                $this->spelt((string) $row['component']),
                BigRational::one(),
            );
        }
        try {
            (new Structures($lines))->assertNoLoop();
        } catch (Refused $loop) {
            $this->folder->problem('structures', 0, '', $loop->getMessage());
        }
    }

    /** An item's number as it was first seen: a loop goes through 'A' and 'a' alike. */
    private function spelt(string $number): string
    {
        return $this->spelt[Code::keyOf($number)] ??= $number;
    }

    private function routings(): void
    {
        foreach ($this->rows('routings') as $line => $row) {
            if (($row['work_centre'] === '') === ($row['supplier'] === '')) {
                $this->folder->problem('routings', $line, 'work_centre',
                    'a step is done at a work centre or by a supplier: fill one of the two.');
            }
            if (
                $row['run_basis'] === 'units_per_hour'
                && $row['supplier'] === ''
                && BigDecimal::of((string) $row['run_rate'])->isZero()
            ) {
                $this->folder->problem('routings', $line, 'run_rate', 'must be above 0 units per hour.');
            }
            $this->alternatives($line, (string) $row['alternatives']);
        }
    }

    private function alternatives(int $line, string $written): void
    {
        if ($written !== '' && preg_match(StepAlternatives::PATTERN, $written) !== 1) {
            $this->folder->problem(
                'routings',
                $line,
                'alternatives',
                "'{$written}' is not such as SAW2|BENCH:150 (work centres, with the time in percent).",
            );

            return;
        }
        $codes = [
            ...DB::table('work_centres')->pluck('code')->all(),
            ...array_column($this->rows('work-centres'), 'code'),
        ];
        foreach (
            array_diff(
                array_keys(StepAlternatives::read($written)),
                array_map(Code::keyOf(...), array_map(strval(...), $codes)),
            ) as $code
        ) {
            if ($this->folder->isRefused('work_centres.code', $code)) {
                continue;
            }
            $this->folder->problem(
                'routings',
                $line,
                'alternatives',
                'no work centre has the code '.mb_strtoupper($code).'.',
            );
        }
    }

    private function openingStock(): void
    {
        $ends = DB::table('places')->whereNotIn('kind', ['store', 'supplier'])->pluck('code_key')->flip();
        foreach ($this->rows('opening-stock') as $line => $row) {
            if ($ends->has(Code::keyOf((string) $row['place']))) {
                $this->folder->problem(
                    'opening-stock',
                    $line,
                    'place',
                    "nothing lies at {$row['place']}: it is where moves end. Name a store or a supplier's place.",
                );
            }
        }
        if ($this->rows('opening-stock') === []) {
            return;
        }
        $moved = DB::table('moves')->join('items', 'items.id', 'item_id')->distinct()->pluck('number')
            ->map(fn ($number) => Code::keyOf($number))->flip();
        foreach ($this->rows('opening-stock') as $line => $row) {
            $item = $this->item((string) $row['item']);
            if (isset($moved[Code::keyOf((string) $row['item'])])) {
                $this->folder->problem('opening-stock', $line, 'item',
                    "{$row['item']} has bookings already. Count instead: Stock, the item, Count.");
            }
            if (($item['tracking'] === Tracking::None->value) !== ($row['lot'] === '')) {
                $this->folder->problem('opening-stock', $line, 'lot', $row['lot'] === ''
                    ? "{$row['item']} is tracked by {$item['tracking']}: name it."
                    : "{$row['item']} is not tracked by lot: leave it empty.");
            }
            $isOne = BigDecimal::of((string) $row['quantity'])->isEqualTo(1);
            if ($item['tracking'] === Tracking::Serial->value && ! $isOne) {
                $this->folder->problem(
                    'opening-stock',
                    $line,
                    'quantity',
                    'a serial is one piece: give each its own line.',
                );
            }
            $this->quantity(
                'opening-stock',
                $line,
                (string) $row['item'],
                (string) $row['quantity'],
                (string) $row['unit'],
            );
        }
        foreach ($this->rows('purchases') as $line => $row) {
            $this->quantity('purchases', $line, (string) $row['item'], (string) $row['quantity'], '');
        }
    }

    private function customerOrders(): void
    {
        $there = DB::table('customer_orders')->pluck('number')->map(fn ($number) => Code::keyOf($number))->flip();
        $bought = DB::table('purchases')->pluck('number')->map(fn ($number) => Code::keyOf($number))->flip();
        $customer = [];
        foreach ($this->rows('customer-orders') as $line => $row) {
            $number = Code::keyOf((string) $row['number']);
            if (isset($there[$number])) {
                $this->folder->problem(
                    'customer-orders',
                    $line,
                    'number',
                    "{$row['number']} is there already. Change it on its page.",
                );
            }
            if (($customer[$number] ??= $row['customer']) !== $row['customer']) {
                $this->folder->problem('customer-orders', $line, 'customer',
                    "{$row['number']} is for {$customer[$number]} in an earlier line.");
            }
            $this->quantity(
                'customer-orders',
                $line,
                (string) $row['item'],
                (string) $row['quantity'],
                (string) $row['unit'],
            );
        }
        foreach ($this->rows('purchases') as $line => $row) {
            if (isset($bought[Code::keyOf((string) $row['number'])])) {
                $this->folder->problem('purchases', $line, 'number', "{$row['number']} is there already.");
            }
        }
    }

    private function orders(): void
    {
        $there = DB::table('orders')->pluck('number')->map(fn ($number) => Code::keyOf($number))->flip();
        $lines = [];
        foreach ($this->rows('customer-orders') as $row) {
            $lines[Code::keyOf("{$row['number']}/{$row['line']}")] = Code::keyOf((string) $row['item']);
        }
        $states = [];
        foreach ($this->rows('orders') as $line => $row) {
            $states[Code::keyOf((string) $row['number'])] = $row['state'];
            if (isset($there[Code::keyOf((string) $row['number'])])) {
                $this->folder->problem(
                    'orders',
                    $line,
                    'number',
                    "{$row['number']} is there already. Change it on its page.",
                );
            }
            if (! in_array($this->item((string) $row['item'])['kind'], ['made', 'assembled'], true)) {
                $this->folder->problem('orders', $line, 'item', "{$row['item']} is not made here.");
            }
            $this->quantity('orders', $line, (string) $row['item'], (string) $row['quantity'], '');
            $tied = Code::keyOf("{$row['customer_order']}/{$row['line']}");
            if (
                $row['customer_order'] !== ''
                && ($lines[$tied] ?? null) !== Code::keyOf((string) $row['item'])
                && ! $this->folder->isRefused('customer-orders.line', $tied)
            ) {
                $this->folder->problem('orders', $line, 'customer_order',
                    "customer-orders.csv has no line {$row['line']} of {$row['customer_order']} for {$row['item']}.");
            }
        }
        foreach (['order-steps', 'order-components'] as $file) {
            foreach ($this->rows($file) as $line => $row) {
                $state = $states[Code::keyOf((string) $row['order'])] ?? null;
                $isRefused = $this->folder->isRefused('orders.number', (string) $row['order']);
                if ($state !== OrderState::Released->value && ! $isRefused) {
                    $this->folder->problem(
                        $file,
                        $line,
                        'order',
                        $state === null
                            ? "{$row['order']} is not in orders.csv."
                            : "{$row['order']} is not released: nothing can be booked on it yet.",
                    );
                }
            }
        }
        foreach ($this->rows('order-steps') as $line => $row) {
            if (BigDecimal::of((string) $row['good'])->plus((string) $row['scrap'])
                ->isGreaterThan((string) $row['taken_in']) || BigDecimal::of((string) $row['passed_on'])
                ->isGreaterThan((string) $row['good'])) {
                $this->folder->problem('order-steps', $line, 'good',
                    'good + scrap cannot be more than taken in, nor passed on more than good.');
            }
        }
    }

    /** @param  bool  $exact stock must hold the amount; per-unit quantities of structures are ratios */
    private function quantity(
        string $file,
        int $line,
        string $itemNumber,
        string $typed,
        string $unit,
        bool $exact = true,
    ): void {
        $key = Code::keyOf($itemNumber);
        $item = $this->item($itemNumber);
        $stock = $this->units[Code::keyOf($item['unit'])] ?? null;
        $unit = Code::keyOf($unit === '' ? $item['unit'] : $unit);
        if ($stock === null) {
            return; // said at the item
        }
        $ratio = $unit === Code::keyOf($item['unit']) ? ['1', '1'] : $this->ratios[$key][$unit] ?? null;
        if ($ratio === null && $this->folder->isRefused('item-units.item', $itemNumber)) {
            return;
        }
        if ($ratio === null) {
            $this->folder->problem($file, $line, 'unit',
                "{$itemNumber} is not counted in '{$unit}'. Use {$item['unit']}, or add a line to item-units.csv.");
        } elseif ($exact) {
            try {
                Conversion::of($this->units[$unit], $stock, ...$ratio)->toStock($typed);
            } catch (Refused $refused) {
                $this->folder->problem($file, $line, 'quantity', $refused->getMessage());
            }
        }
    }

    /** @return array{kind: string, unit: string, tracking: string, costing: string} */
    private function item(string $number): array
    {
        return $this->items[Code::keyOf($number)]
            ?? ['kind' => '', 'unit' => '', 'tracking' => 'none', 'costing' => 'average'];
    }

    /** @return array<int, array<string, ?string>> */
    private function rows(string $file): array
    {
        return $this->folder->rows[$file] ?? [];
    }
}
