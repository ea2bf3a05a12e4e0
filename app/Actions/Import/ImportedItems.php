<?php

namespace App\Actions\Import;

use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\ItemFacts;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Quantity\Conversion;
use KeepPace\Core\Quantity\Unit;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/**
 * Items as they are after an import: those that are there, with what its files say of them. Judges quantities of them.
 *
 * @phpstan-type Known array{kind: string, unit: string, tracking: string, costing: string}
 */
final class ImportedItems
{
    /** @var array<string, Known> by number in lower case */
    private array $items = [];

    /** @var array<string, string> euros a unit, of items that are there, by key */
    private array $costs = [];

    /** @var array<string, Unit> */
    private array $units = [];

    /** @var array<string, array<string, array{string, string}>> p and q by item and unit */
    private array $ratios = [];

    /** @var array<string, int>|null  what has bookings, by key */
    private ?array $moved = null;

    public function __construct(private readonly Folder $folder)
    {
        $this->loadUnits();
        $this->loadItems();
    }

    /** @return Known */
    public function of(string $number): array
    {
        return $this->items[Code::keyOf($number)]
            ?? ['kind' => '', 'unit' => '', 'tracking' => 'none', 'costing' => 'average'];
    }

    public function isThere(string $number): bool
    {
        return isset($this->items[Code::keyOf($number)]);
    }

    /** It has bookings: what it is counted in, and by, stays. */
    public function isMoved(string $number): bool
    {
        $this->moved ??= DB::table('moves')
            ->join('items', 'items.id', 'item_id')
            ->distinct()
            ->pluck('number')
            ->map(fn ($number): string => Code::keyOf($number))
            ->flip()
            ->all();

        return isset($this->moved[Code::keyOf($number)]);
    }

    /** Of one that is there. */
    public function facts(string $number): ItemFacts
    {
        $is = $this->of($number);

        return new ItemFacts(
            $number,
            $is['unit'],
            Tracking::from($is['tracking']),
            CostingRule::from($is['costing']),
            BigDecimal::of($this->costs[Code::keyOf($number)] ?? '0'),
        );
    }

    /** @return array{string, string}|null  p and q of a unit it is counted in besides */
    public function ratio(string $number, string $unit): ?array
    {
        return $this->ratios[Code::keyOf($number)][Code::keyOf($unit)] ?? null;
    }

    /** @param  array<string, ?string>  $row  of items.csv */
    public function add(array $row): void
    {
        $this->items[Code::keyOf((string) $row['number'])] = [
            'kind' => (string) $row['kind'],
            'unit' => (string) $row['unit'],
            'tracking' => (string) $row['tracking'],
            'costing' => (string) $row['costing'],
        ];
    }

    /** @param  array<string, ?string>  $row  of item-units.csv */
    public function addUnit(array $row): void
    {
        $ratio = [(string) $row['p'], (string) $row['q']];
        $this->ratios[Code::keyOf((string) $row['item'])][Code::keyOf((string) $row['unit'])] = $ratio;
    }

    /**
     * Says beside the field when an item is not counted so.
     *
     * @param  string  $unit  '' = the item's own
     * @param  bool  $exact  stock must hold the amount; per-unit quantities of structures are ratios
     */
    public function judge(
        string $file,
        int $line,
        string $itemNumber,
        string $typed,
        string $unit,
        bool $exact = true,
    ): void {
        $key = Code::keyOf($itemNumber);
        $item = $this->of($itemNumber);
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

    private function loadUnits(): void
    {
        foreach (DB::table('units')->get() as $unit) {
            $this->units[Code::keyOf($unit->code)] = new Unit($unit->code, $unit->name, $unit->decimals);
        }
        foreach ($this->folder->rowsOf('units') as $row) {
            $decimals = max(0, min(6, (int) $row['decimals']));
            $this->units[Code::keyOf((string) $row['code'])] =
                new Unit((string) $row['code'], (string) $row['name'], $decimals);
        }
    }

    private function loadItems(): void
    {
        $items = DB::table('items')->join('units', 'units.id', 'unit_id');
        foreach ($items->get(['number', 'kind', 'code', 'tracking', 'costing', 'cost']) as $item) {
            $this->costs[Code::keyOf($item->number)] = $item->cost;
            $this->items[Code::keyOf($item->number)] = [
                'kind' => $item->kind,
                'unit' => $item->code,
                'tracking' => $item->tracking,
                'costing' => $item->costing,
            ];
        }
        $units = DB::table('item_units')
            ->join('items', 'items.id', 'item_id')
            ->join('units', 'units.id', 'item_units.unit_id');
        foreach ($units->get(['number', 'code', 'p', 'q']) as $row) {
            $this->ratios[Code::keyOf($row->number)][Code::keyOf($row->code)] = [(string) $row->p, (string) $row->q];
        }
    }
}
