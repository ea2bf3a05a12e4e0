<?php

namespace App\Actions\Bookings;

use App\Models\Balance;
use App\Models\Cover;
use App\Models\Place;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\StockRefused;

/**
 * The balances one deed works on. They are locked before they are moved, all of a deed at once and in one order; moving
 * an unlocked one is a bug. Until they are written at the end, what is held here is the truth.
 */
final class LockedBalances
{
    /** @var array<string, Balance> by sort key */
    private array $locked = [];

    /** @var array<string, list<string>> sort keys of the free ones, by item and owner */
    private array $byItem = [];

    /** @var array<string, array{key: StockKey, quantity: BigDecimal}> by sort key, as values: a slip of a thousand lines asks often */
    private array $now = [];

    public readonly LockedValues $values;

    public function __construct()
    {
        $this->values = new LockedValues;
    }

    /**
     * Locks the balances of these keys, and all free ones of our own in stores of these items.
     *
     * @param  list<StockKey>  $keys  made when they are not there yet
     * @param  list<int>  $items
     * @param  list<int>  $owners  customers whose own material is locked with it
     */
    public function lock(array $keys, array $items = [], array $owners = []): void
    {
        if ($this->locked !== [] || (count($keys) > 400 && $items !== [])) {
            throw new \LogicException('All balances of a deed are locked at once, or two deeds can lock each other out.');
        }
        usort($keys, fn (StockKey $a, StockKey $b): int => $a->sortKey() <=> $b->sortKey());
        // One statement locks in the order of the index. Only an opening has more keys than one takes, and it names no items.
        foreach ($keys === [] ? [[]] : array_chunk(array_map(self::columns(...), $keys), 400) as $part) {
            DB::table('balances')->insertOrIgnore($part);
            $query = Balance::query()->orderBy('item_id')->orderBy('place_id')->orderBy('lot_id')->orderBy('condition')->orderBy('owner_id')
                ->lockForUpdate();
            foreach ($part as $columns) {
                $query->orWhere($columns);
            }
            if ($items !== []) {
                $query->orWhere(fn ($inner) => $inner->whereIn('item_id', $items)
                    ->whereIn('place_id', Place::query()->where('kind', 'store')->pluck('id'))
                    ->where('condition', Condition::Free->value)->whereIn('owner_id', [0, ...$owners])->where('quantity', '>', 0));
            }
            foreach ($part !== [] || $items !== [] ? $query->get() : [] as $balance) {
                $key = $balance->key();
                $this->locked[$key->sortKey()] ??= $balance;
                $this->now[$key->sortKey()] ??= ['key' => $key, 'quantity' => BigDecimal::of($balance->quantity)];
            }
        }
        $this->values->lock($this->locked, $items);
    }

    /**
     * Locked free balances of an item that hold something, oldest lot first.
     *
     * @return list<Balance>
     */
    public function onHand(int $item, int $lot = 0, int $place = 0): array
    {
        return array_values(array_filter($this->locked, fn (Balance $balance): bool => $balance->item_id === $item
            && $balance->condition === Condition::Free->value && $balance->owner_id === 0 && BigDecimal::of($balance->quantity)->isPositive()
            && ($lot === 0 || $balance->lot_id === $lot) && ($place === 0 || $balance->place_id === $place)));
    }

    /**
     * The same for one owner, as values.
     *
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     */
    public function onHandOf(int $item, int $owner = 0): array
    {
        if ($this->byItem === []) {
            foreach ($this->now as $sortKey => ['key' => $key]) {
                if ($key->condition === Condition::Free) {
                    $this->byItem["{$key->item}-{$key->owner}"][] = $sortKey;
                }
            }
        }

        $there = [];
        foreach ($this->byItem["{$item}-{$owner}"] ?? [] as $sortKey) {
            if ($this->now[$sortKey]['quantity']->isPositive()) {
                $there[] = $this->now[$sortKey];
            }
        }

        return $there;
    }

    public function balance(StockKey $key): Balance
    {
        return $this->locked[$key->sortKey()] ?? throw new \LogicException('This balance was not locked first: '.$key->sortKey());
    }

    /** What an item has on hand in all, of what is locked. */
    public function quantity(int $item): BigDecimal
    {
        return array_reduce($this->onHand($item), fn (BigDecimal $sum, Balance $balance): BigDecimal => $sum->plus($balance->quantity),
            BigDecimal::zero());
    }

    /** What of it no customer line has been promised; below zero when too much was. */
    public function unpromised(int $item): BigDecimal
    {
        return $this->quantity($item)->minus($this->promised($item));
    }

    /** Stock of an item promised to customer lines. Read after the item's balances are locked. */
    public function promised(int $item): BigDecimal
    {
        return Cover::promisedFromStock($item);
    }

    /** @throws StockRefused when it would fall below zero */
    public function add(StockKey $key, BigDecimal $quantity, string $what): void
    {
        $balance = $this->balance($key);
        $sortKey = $key->sortKey();
        $now = $this->now[$sortKey]['quantity']->plus($quantity);
        if ($now->isNegative()) {
            throw StockRefused::notEnough($what, $quantity->negated(), $this->now[$sortKey]['quantity']);
        }
        $this->now[$sortKey]['quantity'] = $now;
        $balance->quantity = (string) $now;
    }

    /** Writes what changed, in bulk: an opening has thousands. */
    public function write(): void
    {
        $changed = array_filter($this->locked, fn (Balance $balance): bool => $balance->isDirty());
        $this->values->write();
        foreach (array_chunk($changed, 500) as $balances) {
            DB::table('balances')->upsert(array_map(fn (Balance $balance): array => $balance->getAttributes(), $balances), ['id'],
                ['quantity']);
        }
    }

    /** @return array<string, int|string> */
    private static function columns(StockKey $key): array
    {
        return ['item_id' => $key->item, 'place_id' => $key->place, 'lot_id' => $key->lot, 'condition' => $key->condition
            ->value, 'owner_id' => $key->owner];
    }
}
