<?php

namespace App\Actions\Stock;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\Move;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\LateCost;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Stock\End;

/**
 * A value of goods that is known only after they came in (IAS 2.10-11; W6): the part for what is still there goes into
 * stock, the rest is variance. The stock of the items is locked.
 */
final readonly class LaterValue
{
    /** @var Collection<int, Item> by id */
    private Collection $items;

    /** @param  Collection<int, Move>  $moves  by which they came, of our own */
    public function __construct(private Ledger $ledger, private Collection $moves)
    {
        $this->items = Item::query()->with('unit')->whereKey($moves->pluck('item_id')->unique())->get()->keyBy('id');
        $this->read();
    }

    /**
     * @param  array<int, int>  $shares  cents by the place of the move among them; below zero for a credit
     * @return int of it to stock
     */
    public function add(array $shares): int
    {
        $toStock = 0;
        foreach ($shares as $at => $share) {
            $toStock += $this->spread($this->moves[$at], $share);
        }

        return $toStock;
    }

    /** Reads what lies there: of items with a cost of their own the lots that came in. */
    private function read(): void
    {
        $isOwn = fn (int $item): bool => $this->ledger->stock->values->rule($item) === CostingRule::Own;
        $items = $this->items->keys()->all();
        $own = array_values(array_filter($items, $isOwn));
        $lots = array_values($this->moves->pluck('lot_id')->unique()->all());
        $this->ledger->stock->readFree($own, lots: $lots);
        $this->ledger->stock->readFree(array_values(array_diff($items, $own)));
    }

    private function spread(Move $move, int $share): int
    {
        $stock = $this->ledger->stock;
        $item = $this->items[$move->item_id] ?? throw new \LogicException('It came in of an item.');
        $rule = $stock->values->rule($item->id);
        $key = $stock->onHand($item->id, $rule === CostingRule::Own ? $move->lot_id : 0)[0]['key'] ?? null;
        $there = match (true) {
            $key === null, $rule === CostingRule::Standard => StockValue::none(),
            $rule === CostingRule::FirstInFirstOut => $stock->values->layers->left($item->id, [$move->id]),
            default => $stock->values->of($key),
        };
        $spread = LateCost::spread($share, BigDecimal::of($move->quantity), $there->quantity, $there->value);
        if ($key !== null) {
            $from = End::outside($move->purchase_line_id);
            $this->ledger->moves->revalue($item, $spread->toStock, $key, $from, [$move->id]);
        }
        $this->ledger->moves->variance($item, $spread->variance, $move->lot_id);

        return $spread->toStock;
    }
}
