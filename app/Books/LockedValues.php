<?php

namespace App\Books;

use App\Models\Item;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\Layers;
use KeepPace\Core\Costing\LayerUse;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/**
 * The value of the stock one deed works on, by each item's costing rule. Locked after the balances; written at the end.
 * A customer's own material has no value here.
 */
final class LockedValues
{
    /** @var array<int, CostingRule> */
    private array $rules = [];

    /** @var array<int, string> euros per stock unit, where the rule is standard */
    private array $standards = [];

    /** @var array<string, StockValue> by item and lot */
    private array $values = [];

    /** @var array<string, true> what is to be written */
    private array $changed = [];

    /** Of items whose first in goes first out. */
    public readonly LockedLayers $layers;

    public function __construct()
    {
        $this->layers = new LockedLayers;
    }

    /**
     * The costing rules of locked items.
     *
     * @param  list<int>  $items
     */
    public function rulesOf(array $items): void
    {
        foreach (array_chunk($items, 400) as $part) {
            $items = Item::query()->whereIn('id', $part)->toBase()->select(['id', 'costing', 'cost']);
            foreach (Row::all($items, fn (Row $row): Row => $row) as $row) {
                $this->rules[$row->int('id')] = $row->enum('costing', CostingRule::class);
                $this->standards[$row->int('id')] = $row->text('cost');
            }
        }
    }

    /** A standard cost that this very deed sets. */
    public function setStandard(int $item, string $cost): void
    {
        $this->standards[$item] = $cost;
    }

    /**
     * Reads the values of what lies there.
     *
     * @param  list<array{int, int, int}>  $of  item, lot and owner
     */
    public function read(array $of): void
    {
        $keys = [];
        foreach ($of as [$item, $lot, $owner]) {
            $lot = $owner === 0 && $this->rule($item) === CostingRule::Own ? $lot : 0;
            $key = self::key($item, $lot);
            if ($owner === 0 && ! isset($this->values[$key])) {
                $keys[$key] = ['item_id' => $item, 'lot_id' => $lot];
                $this->values[$key] = StockValue::none();
            }
        }
        foreach (array_chunk($keys, 400) as $part) {
            $values = DB::table('stock_values')
                ->whereIn('item_id', array_unique(array_column($part, 'item_id')))
                ->whereIn('lot_id', array_unique(array_column($part, 'lot_id')));
            foreach (Row::all($values, fn (Row $row): Row => $row) as $row) {
                $key = self::key($row->int('item_id'), $row->int('lot_id'));
                if (isset($keys[$key])) {
                    $this->values[$key] = new StockValue($row->decimal('quantity'), $row->int('value'));
                }
            }
        }
    }

    public function rule(int $item): CostingRule
    {
        return $this->rules[$item] ?? throw new \LogicException("Item {$item} was not locked first.");
    }

    public function of(StockKey $key): StockValue
    {
        return $key->owner !== 0 ? StockValue::none() : $this->values[$this->keyOf($key)]
            ?? throw new \LogicException('This value was not locked first: '.$this->keyOf($key));
    }

    /** Whether a move between the two changes no value: it stays in one pool. */
    public function isOne(StockKey $from, StockKey $to): bool
    {
        return $from->owner === $to->owner && ($from->owner !== 0 || $this->keyOf($from) === $this->keyOf($to));
    }

    /**
     * What a quantity that leaves is worth, by the rule of its item.
     *
     * @return array{int, list<LayerUse>}
     */
    public function leaving(StockKey $from, BigDecimal $quantity, string $what): array
    {
        if ($from->owner !== 0) {
            return [0, []];
        }
        if ($this->rule($from->item) !== CostingRule::FirstInFirstOut) {
            return [$this->of($from)->valueOf($quantity), []];
        }
        $uses = Layers::take($this->layers->of($from->item), $quantity, $what);

        return [array_sum(array_map(fn (LayerUse $use): int => $use->value, $uses)), $uses];
    }

    /** What a quantity that comes in for so much is worth in stock: by standard it is the set cost. */
    public function coming(StockKey $to, BigDecimal $quantity, int $value): int
    {
        return $to->owner !== 0
            ? 0
            : ($this->rule($to->item) === CostingRule::Standard
                ? Cents::of($quantity, $this->standards[$to->item])
                : $value);
    }

    /**
     * @param  list<LayerUse>|null  $uses  first in, first out: what is taken from where; null = a reversal that says so
     *     itself
     *
     * @throws StockRefused
     */
    public function take(StockKey $from, BigDecimal $quantity, int $value, string $what, ?array $uses): void
    {
        if ($from->owner === 0) {
            $this->set($this->keyOf($from), $this->of($from)->take($quantity, $value, $what));
            foreach ($uses ?? [] as $use) {
                $this->layers->change($from->item, $use->layer, $use->quantity, $use->value);
            }
        }
    }

    public function put(StockKey $to, BigDecimal $quantity, int $value): void
    {
        if ($to->owner === 0) {
            $this->set($this->keyOf($to), $this->of($to)->put($quantity, $value));
        }
    }

    public function write(): void
    {
        $rows = array_map(function (string $key): array {
            [$item, $lot] = array_map(intval(...), explode('-', $key));

            return [
                'item_id' => $item,
                'lot_id' => $lot,
                'quantity' => (string) $this->values[$key]->quantity,
                'value' => $this->values[$key]->value,
            ];
        }, array_keys($this->changed));
        foreach (array_chunk($rows, 500) as $part) {
            DB::table('stock_values')->upsert($part, ['item_id', 'lot_id'], ['quantity', 'value']);
        }
    }

    private function set(string $key, StockValue $now): void
    {
        $this->values[$key] = $now;
        $this->changed[$key] = true;
    }

    private function keyOf(StockKey $key): string
    {
        return self::key($key->item, $this->rule($key->item) === CostingRule::Own ? $key->lot : 0);
    }

    private static function key(int $item, int $lot): string
    {
        return sprintf('%010d-%010d', $item, $lot);
    }
}
