<?php

namespace App\Books;

use App\Models\Place;
use App\Reading\Row;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/**
 * The stock one deed works on. Each item has one lock, its row in item_stock: whoever holds it may read and change
 * all balances, values, layers, promises and reservations of the item. All items of a deed are locked at once and in
 * one order; what lies there is read after that, as far as it is needed. Until it is written at the end, what is held
 * here is the truth.
 *
 * @phpstan-type Lying array{key: StockKey, quantity: BigDecimal}
 */
final class LockedBalances
{
    /** Keys and items asked for in one statement. */
    private const AT_ONCE = 300;

    private const COLUMNS = ['item_id', 'place_id', 'lot_id', 'condition', 'owner_id'];

    /** @var array<int, true> locked items */
    private array $items = [];

    /** @var array<string, Lying> by sort key, as they are now */
    private array $now = [];

    /** @var array<string, BigDecimal> by sort key, as they were read */
    private array $was = [];

    /** @var array<int, true> items of which all that is free is read */
    private array $whole = [];

    /** @var array<string, list<string>> sort keys of the free ones in stores, by item and owner */
    private array $free = [];

    /** @var array<int, true>|null places that are stores */
    private ?array $stores = null;

    public readonly LockedValues $values;

    public function __construct()
    {
        $this->values = new LockedValues;
    }

    /**
     * @param  list<int>  $items  all of the deed: two that took theirs one by one could wait for each other for ever
     */
    public function lock(array $items): void
    {
        if ($this->items !== []) {
            throw new \LogicException('All items of a deed are locked at once, or two deeds can lock each other out.');
        }
        $items = array_values(array_unique($items));
        sort($items);
        foreach (array_chunk($items, 5000) as $part) {
            if ($this->held($part) < count($part)) {
                DB::table('item_stock')->insertOrIgnore(array_map(
                    fn (int $item): array => ['item_id' => $item],
                    $part,
                ));
                $this->held($part);
            }
        }
        $this->items = array_fill_keys($items, true);
        $this->values->rulesOf($items);
    }

    /**
     * Reads what lies at these keys.
     *
     * @param  list<StockKey>  $keys
     */
    public function read(array $keys): void
    {
        foreach (array_chunk($keys, self::AT_ONCE) as $part) {
            $query = DB::table('balances')->where(function (Builder $any) use ($part): void {
                foreach ($part as $key) {
                    $any->orWhere(fn (Builder $one) => $one->where(self::columns($key)));
                }
            });
            $this->keep($query);
            foreach ($part as $key) {
                $this->put($key, BigDecimal::zero()); // where nothing lies yet
            }
        }
        $this->values->read(array_map(fn (StockKey $key): array => [$key->item, $key->lot, $key->owner], $keys));
    }

    /**
     * Reads all that is free in stores of these items, oldest lot first.
     *
     * @param  list<int>  $items
     * @param  list<int>  $owners  customers whose own material is read with ours
     * @param  list<int>  $lots  these only; none = all
     */
    public function readFree(array $items, array $owners = [], array $lots = []): void
    {
        foreach (array_chunk($items, self::AT_ONCE) as $part) {
            $this->keep($this->freeOf($part, [0, ...$owners])->where('quantity', '>', 0)
                ->when($lots !== [], fn (Builder $query) => $query->whereIn('lot_id', $lots))
                ->orderBy('item_id')->orderBy('place_id')->orderBy('lot_id')->orderBy('owner_id'));
        }
        if ($lots === []) {
            $this->whole += array_fill_keys($items, true);
        }
        $this->values->read(array_map(
            fn (array $one): array => [$one['key']->item, $one['key']->lot, $one['key']->owner],
            array_values($this->now),
        ));
    }

    /**
     * What was read of an item and is free in stores, our own or a customer's.
     *
     * @return list<Lying>
     */
    public function onHand(int $item, int $lot = 0, int $owner = 0): array
    {
        $there = [];
        foreach ($this->free["{$item}-{$owner}"] ?? [] as $sortKey) {
            $one = $this->now[$sortKey];
            if ($one['quantity']->isPositive() && ($lot === 0 || $one['key']->lot === $lot)) {
                $there[] = $one;
            }
        }

        return $there;
    }

    /** What an item, or one lot of it, has free in stores of our own, whether it was read or not. */
    public function quantity(int $item, int $lot = 0): BigDecimal
    {
        $read = BigDecimal::zero();
        $before = BigDecimal::zero();
        foreach ($this->free["{$item}-0"] ?? [] as $sortKey) {
            if ($lot === 0 || $this->now[$sortKey]['key']->lot === $lot) {
                $read = $read->plus($this->now[$sortKey]['quantity']);
                $before = $before->plus($this->was[$sortKey]);
            }
        }
        if (isset($this->whole[$item])) {
            return $read;
        }
        $stored = $this
            ->freeOf([$item], [0])
            ->when($lot !== 0, fn (Builder $query) => $query->where('lot_id', $lot));

        return Row::sum($stored, 'quantity')->plus($read)->minus($before);
    }

    /** What lies at a key that was read. */
    public function at(StockKey $key): BigDecimal
    {
        return (
            $this->now[$key->sortKey()]
                ?? throw new \LogicException('This balance was not read first: '.$key->sortKey())
        )['quantity'];
    }

    /** What of an item's stock no customer line has been promised; below zero when too much was. */
    public function unpromised(int $item): BigDecimal
    {
        return $this->quantity($item)->minus($this->promised($item));
    }

    /**
     * Whether more is promised than is there. Where nothing is promised nothing is added up: an item may have a
     * hundred thousand lots.
     */
    public function isOverpromised(int $item): bool
    {
        $promised = $this->promised($item);

        return $promised->isPositive() && $promised->isGreaterThan($this->quantity($item));
    }

    /** Stock of an item promised to customer lines; held still by the item's lock. */
    public function promised(int $item): BigDecimal
    {
        return Shelves::promisedOf([$item])[$item] ?? BigDecimal::zero();
    }

    /** @throws StockRefused when it would fall below zero */
    public function add(StockKey $key, BigDecimal $quantity, string $what): void
    {
        if (! isset($this->items[$key->item])) {
            throw new \LogicException("Item {$key->item} was not locked first.");
        }
        $there = $this->at($key);
        $now = $there->plus($quantity);
        if ($now->isNegative()) {
            throw StockRefused::notEnough($what, $quantity->negated(), $there);
        }
        $this->now[$key->sortKey()]['quantity'] = $now;
    }

    /** Writes what changed, in bulk: an opening has thousands. */
    public function write(): void
    {
        $rows = [];
        foreach ($this->now as $sortKey => ['key' => $key, 'quantity' => $quantity]) {
            if (! $quantity->isEqualTo($this->was[$sortKey])) {
                $rows[] = [...self::columns($key), 'quantity' => (string) $quantity];
            }
        }
        $this->values->write();
        foreach (array_chunk($rows, 500) as $part) {
            DB::table('balances')->upsert($part, self::COLUMNS, ['quantity']);
        }
    }

    /** @param  list<int>  $items */
    private function held(array $items): int
    {
        return DB::table('item_stock')
            ->whereIn('item_id', $items)
            ->orderBy('item_id')
            ->lockForUpdate()
            ->pluck('item_id')
            ->count();
    }

    /**
     * @param  list<int>  $items
     * @param  list<int>  $owners
     */
    private function freeOf(array $items, array $owners): Builder
    {
        return DB::table('balances')->whereIn('item_id', $items)->whereIn('place_id', array_keys($this->stores()))
            ->where('condition', Condition::Free->value)->whereIn('owner_id', $owners);
    }

    /** @return array<int, true> */
    private function stores(): array
    {
        return $this->stores ??= array_fill_keys(
            Row::ints(Place::query()->where('kind', PlaceKind::Store->value)->toBase(), 'id'),
            true,
        );
    }

    private function keep(Builder $balances): void
    {
        foreach (Row::all($balances, fn (Row $row): Row => $row) as $row) {
            $key = new StockKey(
                $row->int('item_id'),
                $row->int('place_id'),
                $row->int('lot_id'),
                $row->enum('condition', Condition::class),
                $row->int('owner_id'),
            );
            $this->put($key, $row->decimal('quantity'));
        }
    }

    private function put(StockKey $key, BigDecimal $quantity): void
    {
        $sortKey = $key->sortKey();
        if (isset($this->now[$sortKey])) {
            return;
        }
        $this->now[$sortKey] = ['key' => $key, 'quantity' => $quantity];
        $this->was[$sortKey] = $quantity;
        if ($key->condition === Condition::Free && isset($this->stores()[$key->place])) {
            $this->free["{$key->item}-{$key->owner}"][] = $sortKey;
        }
    }

    /** @return array<string, int|string> */
    private static function columns(StockKey $key): array
    {
        return [
            'item_id' => $key->item,
            'place_id' => $key->place,
            'lot_id' => $key->lot,
            'condition' => $key->condition->value,
            'owner_id' => $key->owner,
        ];
    }
}
