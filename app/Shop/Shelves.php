<?php

namespace App\Shop;

use App\Models\Item;
use App\Reading\Named;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\Shelf;
use KeepPace\Core\Stock\StockKey;

/** Reads what lies free in stores, and who counts on it, for pages and proposals; deeds read it under their locks. */
final class Shelves
{
    /** @var array<string, list<LotThere>> by item and owner */
    private array $lots = [];

    /** @var array<int, BigDecimal> by item */
    private array $promised;

    /** @var array<int, list<KeptFor>> by item */
    private array $kept;

    /** @param  list<int>  $items */
    public function __construct(array $items)
    {
        $lying = self::lying()
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->whereIn('b.item_id', $items)
            ->orderBy('b.item_id')
            ->orderBy('b.lot_id')
            ->orderBy('b.place_id')
            ->select(['b.item_id', 'b.place_id', 'b.lot_id', 'b.owner_id', 'b.quantity', 'l.code', 'l.expires_on']);
        foreach (Row::all($lying, self::lot(...)) as $lot) {
            $this->lots["{$lot->key->item}-{$lot->key->owner}"][] = $lot;
        }
        $this->promised = self::promisedOf($items);
        $this->kept = self::keptOf($items);
    }

    /** @param  int  $owner  a customer, whose own material it is; 0 = us */
    public function of(Item $item, int $owner = 0): Shelf
    {
        $lots = $this->lots["{$item->id}-{$owner}"] ?? [];

        return Shelf::of(
            $item->label(),
            $lots,
            $owner,
            $this->promised[$item->id] ?? null,
            $this->kept[$item->id] ?? [],
        );
    }

    /** Balances `b` that can be used: free, in stores. What is blocked, in inspection or at a supplier is not. */
    public static function lying(): Builder
    {
        return DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', PlaceKind::Store->value)
            ->where('b.condition', Condition::Free->value)
            ->where('b.quantity', '>', 0);
    }

    /**
     * Our own of what came and is being looked at, of items that say how long that takes: `id` of the balance,
     * `item_id`, `number` of the lot or the item, `quantity`, `came_on`, `inspection_days`.
     */
    public static function inspected(): Builder
    {
        $came = DB::table('moves AS m')
            ->whereColumn('m.item_id', 'b.item_id')
            ->whereColumn('m.to_place_id', 'b.place_id')
            ->whereColumn('m.lot_id', 'b.lot_id')
            ->where('m.to_condition', Condition::InInspection->value)
            ->where('m.owner_id', 0)
            ->selectRaw('MAX(m.booked_on)');

        return DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->join('items AS i', 'i.id', 'b.item_id')
            ->leftJoin('lots AS l', Named::on('l.id', 'b.lot_id'))
            ->where('p.kind', PlaceKind::Store->value)
            ->where('b.condition', Condition::InInspection->value)
            ->where('b.owner_id', 0)
            ->where('b.quantity', '>', 0)
            ->where('i.inspection_days', '>', 0)
            ->orderBy('b.id')
            ->select(['b.id', 'b.item_id', 'b.quantity', 'i.inspection_days'])
            ->selectRaw('COALESCE(l.code, i.number) AS number')
            ->selectSub($came, 'came_on');
    }

    /** Our own of them by item: `item_id`, `quantity`. */
    public static function sums(): Builder
    {
        return self::lying()
            ->where('b.owner_id', 0)
            ->groupBy('b.item_id')
            ->select('b.item_id')
            ->selectRaw('SUM(b.quantity) AS quantity');
    }

    /** Of our own what is promised to customer lines from stock, by item: `item_id`, `quantity`. */
    public static function promised(): Builder
    {
        return Ties::fromStock()->groupBy('t.item_id')->select('t.item_id')->selectRaw('SUM(t.quantity) AS quantity');
    }

    /** Of our own what is kept for orders, by item: `item_id`, `quantity`. */
    public static function keptSums(): Builder
    {
        return Ties::kept()->groupBy('t.item_id')->select('t.item_id')->selectRaw('SUM(t.quantity) AS quantity');
    }

    /**
     * @param  array<array-key, int>  $items
     * @return array<int, BigDecimal> by item
     */
    public static function promisedOf(array $items): array
    {
        $promised = self::promised()->whereIn('t.item_id', $items);
        $by = [];
        foreach (Row::all($promised, fn (Row $row): Row => $row) as $row) {
            $by[$row->int('item_id')] = $row->decimal('quantity');
        }

        return $by;
    }

    /**
     * @param  array<array-key, int>  $items
     * @return array<int, list<KeptFor>> what is kept for orders, by item, the oldest first
     */
    public static function keptOf(array $items): array
    {
        $kept = Ties::kept()
            ->join('orders AS o', 'o.id', 'want.order_id')
            ->whereIn('t.item_id', $items)
            ->orderBy('t.id')
            ->select(['t.id', 't.item_id', 't.supply_id AS lot_id', 'want.order_id', 't.quantity', 'o.number']);
        $by = [];
        foreach (Row::all($kept, fn (Row $row): Row => $row) as $row) {
            $by[$row->int('item_id')][] = new KeptFor(
                $row->int('id'),
                $row->int('order_id'),
                $row->text('number'),
                $row->int('lot_id'),
                $row->decimal('quantity'),
            );
        }

        return $by;
    }

    private static function lot(Row $row): LotThere
    {
        [$item, $place, $lot] = [$row->int('item_id'), $row->int('place_id'), $row->int('lot_id')];

        return new LotThere(
            new StockKey($item, $place, $lot, owner: $row->int('owner_id')),
            $row->decimal('quantity'),
            $row->textOrNull('code') ?? '',
            $row->textOrNull('expires_on'),
        );
    }
}
