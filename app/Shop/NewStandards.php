<?php

namespace App\Shop;

use App\Models\SupplierItem;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\NewStandard;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Refused;

/**
 * What standard costs would be if they were worked out today: of what is bought the price agreed with its usual
 * supplier for its usual lot, of what is made what it comes to by structure, routing and rates, with those prices.
 */
final class NewStandards
{
    /** @var array<int, string> why none can be worked out, by item */
    private array $why = [];

    /** @var array<int, NewStandard> by item */
    private array $standards = [];

    /** @param  (callable(Builder): mixed)|null  $narrow  items AS i */
    public function __construct(?callable $narrow = null)
    {
        $items = DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('i.costing', CostingRule::Standard->value)
            ->whereNull('i.retired_at')
            ->orderBy('i.number')
            ->select(['i.id', 'i.number', 'i.name', 'i.kind', 'i.cost', 'i.costing', 'i.usual_lot', 'i.retired_at'])
            ->addSelect(['i.supplier_id', 'u.code AS unit', 'u.decimals']);
        $narrow === null ?: $narrow($items);
        $found = Row::all($items, MadeItem::from(...));
        $ids = array_values($found->map(fn (MadeItem $item): int => $item->id)->all());
        $agreed = self::agreed();
        $rolled = RolledUp::of($ids, costs: $agreed);
        $there = self::there($ids);
        foreach ($found as $item) {
            $after = $this->worked($item, $rolled, $agreed);
            if ($after !== null) {
                $value = $there[$item->id] ?? StockValue::none();
                $this->standards[$item->id] = NewStandard::of($item->cost, $after, $value);
            }
        }
    }

    /** @return array<int, NewStandard> by item; those that can be worked out */
    public function all(): array
    {
        return $this->standards;
    }

    /** @return array<int, string> why there is none, by item */
    public function why(): array
    {
        return $this->why;
    }

    /** @param  array<int, BigDecimal>  $agreed  euros by item */
    private function worked(MadeItem $item, RolledUp $rolled, array $agreed): ?BigDecimal
    {
        if (! $item->kind->isMadeHere()) {
            isset($agreed[$item->id]) ?: $this->why[$item->id] = 'no price is agreed with its usual supplier';

            return $agreed[$item->id] ?? null;
        }
        try {
            $cost = $rolled->cost->of($item->number);
        } catch (Refused $refused) {
            $this->why[$item->id] = $refused->getMessage();

            return null;
        }
        if ($cost->lines === [] && $cost->total()->total()->isZero()) {
            $this->why[$item->id] = 'it has no structure and no routing in force';

            return null;
        }

        return NewStandard::rounded($cost->unit()->total());
    }

    /** @return array<int, BigDecimal> euros a stock unit asked by its usual supplier, by item with standard cost */
    private static function agreed(): array
    {
        $bought = DB::table('items')
            ->where('costing', CostingRule::Standard->value)
            ->whereNotNull('supplier_id')
            ->select(['id', 'supplier_id', 'usual_lot']);
        $items = Row::all($bought, fn (Row $row): Row => $row)->keyBy(fn (Row $row): int => $row->int('id'));
        $agreed = [];
        foreach (SupplierItem::query()->with('prices')->whereIn('item_id', $items->keys())->get() as $terms) {
            $item = $items[$terms->item_id];
            $lot = BigDecimal::max(BigDecimal::one(), $item->decimal('usual_lot'));
            $price = $item->int('supplier_id') === $terms->supplier_id ? $terms->breaks()?->price($lot) : null;
            if ($price !== null) {
                $agreed[$terms->item_id] = $price;
            }
        }

        return $agreed;
    }

    /**
     * @param  list<int>  $items
     * @return array<int, StockValue> by item
     */
    private static function there(array $items): array
    {
        $values = DB::table('stock_values')
            ->whereIn('item_id', $items)
            ->groupBy('item_id')
            ->selectRaw('item_id, SUM(quantity) AS quantity, SUM(value) AS value');
        $there = [];
        foreach (Row::all($values, fn (Row $row): Row => $row) as $row) {
            $there[$row->int('item_id')] = new StockValue($row->decimal('quantity'), $row->int('value'));
        }

        return $there;
    }
}
