<?php

namespace App\Actions\Usage;

use App\Books\KeptStock;
use App\Models\Item;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\LotOrder;
use KeepPace\Core\Stock\LotRule;
use KeepPace\Core\Stock\LotThere;
use KeepPace\Core\Stock\StockKey;

/**
 * Where a slip's lines could take from: by each item's rule, one line after the other. A suggestion; booking asks
 * again.
 */
final class Suggestions
{
    /** @var array<string, list<LotThere>> by item and owner, what no line of this slip took yet */
    private array $lots = [];

    /** @var array<string, BigDecimal> free of promises and of what is kept for others, by item and owner */
    private array $free = [];

    /** @var Collection<int, Collection<int, KeptStock>> by item */
    private readonly Collection $kept;

    /** @param  list<int>  $items */
    public function __construct(array $items, private readonly string $day)
    {
        foreach (
            DB::table('balances AS b')
                ->join('places AS p', 'p.id', 'b.place_id')
                ->leftJoin('lots AS l', 'l.id', 'b.lot_id')
                ->whereIn('b.item_id', $items)
                ->where('p.kind', 'store')
                ->where('b.condition', Condition::Free->value)
                ->where('b.quantity', '>', 0)
                ->orderBy('b.item_id')
                ->orderBy('b.lot_id')
                ->orderBy('b.place_id')
                ->select(['b.item_id', 'b.place_id', 'b.lot_id', 'b.owner_id', 'b.quantity', 'l.code', 'l.expires_on'])
                ->get() as $row
        ) {
            $quantity = BigDecimal::of($row->quantity);
            $at = "{$row->item_id}-{$row->owner_id}";
            $this->lots[$at][] = new LotThere(
                new StockKey($row->item_id, $row->place_id, $row->lot_id, owner: $row->owner_id),
                $quantity,
                $row->code ?? '',
                $row->expires_on,
            );
            $this->free[$at] = ($this->free[$at] ?? BigDecimal::zero())->plus($quantity);
        }
        foreach (
            DB::table('covers')
                ->whereIn('item_id', $items)
                ->where('supply', 'stock')
                ->groupBy('item_id')
                ->selectRaw('item_id, SUM(quantity) AS quantity')
                ->get() as $row
        ) {
            $this->free["{$row->item_id}-0"] = ($this->free["{$row->item_id}-0"] ?? BigDecimal::zero())->minus(
                $row->quantity,
            );
        }
        $this->kept = KeptStock::of($items);
    }

    /**
     * @param  BigDecimal  $wanted  above 0, in the stock unit
     * @return list<array{code: string, place_id: int, typed: string}> for as much of it as there is; empty where a
     *     person names it
     */
    public function take(Item $item, int $order, int $owner, BigDecimal $wanted): array
    {
        $at = "{$item->id}-{$owner}";
        $kept = [];
        $hold = [];
        $others = BigDecimal::zero();
        foreach ($owner === 0 ? $this->kept[$item->id] ?? [] : [] as $one) {
            if ($one->orderId === $order) {
                $kept[] = $one->lotId;
            } else {
                $others = $others->plus($one->quantity);
                $hold[$one->lotId] = ($hold[$one->lotId] ?? BigDecimal::zero())->plus($one->quantity);
            }
        }
        $left = BigDecimal::min($wanted, BigDecimal::max(0, ($this->free[$at] ?? BigDecimal::zero())->minus($others)));
        $parts = [];
        foreach (
            $item->isTracked() && $item->lot_rule === LotRule::Ask->value
                ? []
                : LotOrder::of(
                    $this->lots[$at] ?? [],
                    LotRule::from($item->lot_rule),
                    $this->day,
                    $item->minimum_days,
                    $kept,
                ) as $lot
        ) {
            $there = $lot->key->lot === 0 ? $lot->quantity : $lot->quantity->minus($hold[$lot->key->lot] ?? 0);
            $part = BigDecimal::min($left, BigDecimal::max(0, $there));
            if ($part->isPositive()) {
                $parts[] = ['code' => $lot->code, 'place_id' => $lot->key->place, 'typed' => Amount::plain($part)];
                $left = $left->minus($part);
                $this->less($at, $lot, $part);
            }
        }

        return $parts;
    }

    private function less(string $at, LotThere $taken, BigDecimal $part): void
    {
        $this->lots[$at] = array_map(
            fn (LotThere $lot): LotThere => $lot === $taken
                ? new LotThere($lot->key, $lot->quantity->minus($part), $lot->code, $lot->expiresOn)
                : $lot,
            $this->lots[$at],
        );
        $this->free[$at] = $this->free[$at]->minus($part);
    }
}
