<?php

namespace App\Books;

use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use App\Models\TieEntry;
use App\Shop\Shelves;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Planning\TieDemand;
use KeepPace\Core\Planning\TieSupply;
use KeepPace\Core\Stock\KeptFor;
use KeepPace\Core\Stock\StockRefused;

/**
 * Stock that is kept hard for a component of an order, of one lot or of any: only that order may take it. Components of
 * one item in an order stand for one another.
 */
final readonly class Kept
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  int  $lot  0 = of any */
    public function keep(OrderComponent $component, int $lot, BigDecimal $quantity): void
    {
        $this->ledger->ties->add(
            TieDemand::component($component->id),
            TieSupply::stock($lot),
            true,
            $component->item_id,
            $quantity,
        );
    }

    /** The order took some of what was kept for it, or gives it up. */
    public function less(Tie $kept, BigDecimal $quantity): void
    {
        $this->ledger->ties->change($kept, $quantity->negated());
    }

    /** What is no longer made keeps nothing. */
    public function end(Order $order): void
    {
        foreach (self::ties()->whereIn('component_id', $order->components()->pluck('id'))->get() as $kept) {
            $this->less($kept, $kept->left());
        }
    }

    /**
     * What is kept of an item for whichever order.
     *
     * @param  int  $lot  of that lot alone; 0 = of one lot or of any
     */
    public function sum(int $item, int $lot = 0): BigDecimal
    {
        $kept = Shelves::keptOf([$item])[$item] ?? [];
        $of = array_filter($kept, fn (KeptFor $one): bool => $lot === 0 || $one->lot === $lot);

        return BigDecimal::sum(0, ...array_column($of, 'quantity'));
    }

    /**
     * What is kept for orders is still there. Asked after stock was taken, on locked balances.
     *
     * @throws StockRefused naming the orders
     */
    public function assertThere(Item $item): void
    {
        $kept = Shelves::keptOf([$item->id])[$item->id] ?? [];
        if ($kept === []) {
            return;
        }
        $stock = $this->ledger->stock;
        self::assertEnough($item, $kept, $stock->quantity($item->id)->minus($stock->promised($item->id)));
        foreach (array_unique(array_column($kept, 'lot')) as $lot) {
            $of = array_values(array_filter($kept, fn (KeptFor $one): bool => $one->lot === $lot));
            $lot === 0 ?: self::assertEnough($item, $of, $stock->quantity($item->id, $lot));
        }
    }

    /** @throws StockRefused when stock that goes back is kept for an order */
    public function assertLeft(Undone $undone): void
    {
        $items = Item::query()->with('unit')->whereKey($undone->moves->pluck('item_id')->unique())->get();
        $items->each($this->assertThere(...));
    }

    /**
     * What the order had kept for itself is kept again, as far as it is there.
     *
     * @param  BigDecimal  $changed  what the booking had done to it
     */
    public function back(Tie $tie, BigDecimal $changed, Undone $undone): void
    {
        $back = $changed->negated()->minus($this->gaveBefore($undone, $tie));
        if (! $undone->isWhole && $undone->booking->kind !== BookingKind::GoodsIn) {
            $back = BigDecimal::min($back, self::broughtTo($tie, $undone));
        }
        if ($back->isPositive()) {
            $stock = $this->ledger->stock;
            $lot = $tie->supply_id;
            $there = BigDecimal::min(
                $stock->quantity($tie->item_id, $lot)->minus($this->sum($tie->item_id, $lot)),
                $stock->unpromised($tie->item_id)->minus($this->sum($tie->item_id)),
            );
            $back = BigDecimal::max(0, BigDecimal::min($back, $there));
        }
        // no more than is left of it
        $back = BigDecimal::max($back, $tie->left()->negated());
        $back->isZero() ?: $this->ledger->ties->change($tie, $back);
    }

    /** What lines of the booking that were reversed one by one gave back before. */
    private function gaveBefore(Undone $undone, Tie $tie): BigDecimal
    {
        $bookings = Move::query()
            ->whereIn('reverses_id', Move::query()->where('booking_id', $undone->booking->id)->select('id'))
            ->select('booking_id');

        return BigDecimal::of(
            (string) TieEntry::query()->where('tie_id', $tie->id)->whereIn('booking_id', $bookings)->sum('quantity'),
        );
    }

    /** How much of it the moves that are taken back brought to the order. */
    private static function broughtTo(Tie $tie, Undone $undone): BigDecimal
    {
        $moves = $undone->moves->filter(fn (Move $move): bool => $move->order_id === $tie->component?->order_id
            && $move->item_id === $tie->item_id
            && in_array($tie->supply_id, [0, $move->lot_id], true));

        return BigDecimal::sum(0, ...$moves->map(fn (Move $move): string => $move->quantity)->all());
    }

    /** @return Builder<Tie> that keep something still */
    private static function ties(): Builder
    {
        return Tie::query()
            ->where('demand_kind', DemandKind::Component)
            ->where('supply_kind', SupplyKind::Stock)
            ->where('quantity', '>', 0);
    }

    /**
     * @param  list<KeptFor>  $kept
     *
     * @throws StockRefused naming the orders
     */
    private static function assertEnough(Item $item, array $kept, BigDecimal $there): void
    {
        if (BigDecimal::sum(0, ...array_column($kept, 'quantity'))->isGreaterThan($there)) {
            throw StockRefused::kept($item->label(), array_values(array_unique(array_column($kept, 'number'))));
        }
    }
}
