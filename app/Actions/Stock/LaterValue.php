<?php

namespace App\Actions\Stock;

use App\Books\Ledger;
use App\Models\Item;
use App\Models\PurchaseLine;
use Illuminate\Support\Collection;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\CostKind;
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

    /** @param  list<Received>  $received  what came, of our own */
    public function __construct(private Ledger $ledger, private array $received)
    {
        $items = array_unique(array_map(fn (Received $one): int => $one->itemId(), $received));
        $this->items = Item::query()->with('unit')->whereKey($items)->get()->keyBy('id');
        $this->read();
    }

    /**
     * @param  array<int, int>  $shares  cents by the place among what came; below zero for a credit
     * @return int of it to stock
     */
    public function add(array $shares): int
    {
        $toStock = 0;
        foreach ($shares as $at => $share) {
            $toStock += $this->spread($this->received[$at], $share);
        }

        return $toStock;
    }

    /** Reads what lies there: of items with a cost of their own the lots that came in. */
    private function read(): void
    {
        $isOwn = fn (int $item): bool => $this->ledger->stock->values->rule($item) === CostingRule::Own;
        $items = $this->items->keys()->all();
        $own = array_values(array_filter($items, $isOwn));
        $lots = array_values(array_unique(
            array_map(fn (Received $one): int => $one->lotId(), $this->received),
        ));
        $this->ledger->stock->readFree($own, lots: $lots);
        $this->ledger->stock->readFree(array_values(array_diff($items, $own)));
    }

    /**
     * What was bought for an order alone: into its cost, or variance once that is settled.
     *
     * @return int 0: none of it to stock
     */
    private function ontoOrder(Item $item, int $order, int $purchase, int $share): int
    {
        $of = $this->ledger->held()->order($order);
        if (! $of->state->takesCost()) {
            $this->ledger->moves->variance($item, $share);

            return 0;
        }
        $this->ledger->moves->cost($item, $share, $order, $purchase);
        $this->ledger->costs->add($of, CostKind::Bought, $share);
        $this->ledger->touch($of);

        return 0;
    }

    /**
     * What is charged for work on pieces: into the cost of their order, or variance once that is settled.
     *
     * @return int 0: none of it to stock
     */
    private function ontoWork(Item $item, PurchaseLine $line, int $share): int
    {
        $of = $this->ledger->held()->order((int) $line->cost_order_id);
        $this->ledger->owed->later($line, $share);
        if (! $of->state->takesCost()) {
            $this->ledger->moves->variance($item, $share);

            return 0;
        }
        $this->ledger->costs->add($of, CostKind::Outside, $share, $line->step()->firstOrFail());
        $this->ledger->touch($of);

        return 0;
    }

    private function spread(Received $received, int $share): int
    {
        $stock = $this->ledger->stock;
        $item = $this->items[$received->itemId()] ?? throw new \LogicException('It came in of an item.');
        if ($received->work !== null) {
            return $this->ontoWork($item, $received->work, $share);
        }
        $move = $received->move ?? throw new \LogicException('Goods come by a move.');
        if ($move->order_id !== null && $move->purchase_line_id !== null) {
            return $this->ontoOrder($item, $move->order_id, $move->purchase_line_id, $share);
        }
        $rule = $stock->values->rule($item->id);
        $key = $stock->onHand($item->id, $rule === CostingRule::Own ? $move->lot_id : 0)[0]['key'] ?? null;
        $there = match (true) {
            $key === null, $rule === CostingRule::Standard => StockValue::none(),
            $rule === CostingRule::FirstInFirstOut => $stock->values->layers->left($item->id, [$move->id]),
            default => $stock->values->of($key),
        };
        $spread = LateCost::spread($share, $received->quantity, $there->quantity, $there->value);
        if ($key !== null) {
            $from = End::outside($move->purchase_line_id);
            $this->ledger->moves->revalue($item, $spread->toStock, $key, $from, [$move->id]);
        }
        $this->ledger->moves->variance($item, $spread->variance, $move->lot_id);

        return $spread->toStock;
    }
}
