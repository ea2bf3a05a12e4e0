<?php

namespace App\Books;

use App\Models\Item;
use App\Models\Move;
use App\Shop\WhoLacks;
use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\LayerUse;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;

/**
 * The two-sided moves of one booking: quantity between balances, value by the item's costing rule, layers where it
 * keeps them.
 */
final class Moves implements Book
{
    /** Who gets it wanted it: an order's component, a customer line that it was promised to. */
    private const WANTED = [PlaceKind::Order, PlaceKind::Customer];

    /** @var array<int, BigDecimal> of our own free stock what is lost to all orders, by item */
    private array $lost = [];

    /** @var list<array{key: StockKey, quantity: BigDecimal}> of our own what came into free stock */
    private array $came = [];

    private readonly LockedBalances $stock;

    private readonly MoveRows $rows;

    public function __construct(private readonly Ledger $ledger)
    {
        $this->stock = $ledger->stock;
        $this->rows = new MoveRows($ledger->booking, $ledger->stock->values);
    }

    /**
     * Moves a quantity and its value from one end to the other. A key of stock was locked and read before.
     *
     * @param  int|null  $value  cents that go with it; null = what it is worth by the item's costing rule
     * @param  AsTyped|null  $typed  how it was typed, where that is kept
     * @param  int  $lot  where neither end is stock
     * @return int the value that moved; with standard cost not what was given where it comes in
     */
    public function move(
        Item $item,
        BigDecimal $quantity,
        ?int $value,
        End $from,
        End $to,
        ?AsTyped $typed = null,
        int $lot = 0,
    ): int {
        if ($from->stock === null && $to->stock !== null && self::isFree($to)) {
            $this->came[] = ['key' => $to->stock, 'quantity' => $quantity];
        }
        $given = $value;
        [$value, $uses] = $this->valued($item, $quantity, $value, $from, $to);
        $this->quantities($item, $quantity, $from, $to);
        $id = $this->rows->add($item, $quantity, $value, $from, $to, $lot, $typed?->columns() ?? []);
        if ($id !== null && ($from->stock === null || $to->stock === null)) {
            $to->stock === null ?: $this->rows->layer($item, $id, $quantity, $value);
            $this->rows->uses($id, $uses);
        }
        if ($from->kind === PlaceKind::Outside && $to->stock?->owner === 0) {
            // standard cost: what was paid more or less than the set cost is variance at once (IAS 2.21)
            $this->variance($item, ($given ?? $value) - $value, $to->stock->lot);
        }

        return $value;
    }

    /**
     * What the quantity takes along from one end to the other, and out of which layers.
     *
     * @return array{int, list<LayerUse>} cents
     */
    private function valued(Item $item, BigDecimal $quantity, ?int $value, End $from, End $to): array
    {
        $values = $this->stock->values;
        if ($from->stock !== null && $to->stock !== null) {
            return [$value ?? $values->of($from->stock)->valueOf($quantity), []];
        }
        if ($from->stock !== null) {
            [$worth, $uses] = $values->leaving($from->stock, $quantity, $item->label());
            $values->take($from->stock, $quantity, $value ?? $worth, $item->label(), $uses);

            return [$value ?? $worth, $uses];
        }
        if ($to->stock !== null) {
            $value ??= throw new \LogicException('What comes in has a value.');
            // what an order gives back comes in as it went out
            $value = $from->component !== null ? $value : $values->coming($to->stock, $quantity, $value);
            $values->put($to->stock, $quantity, $value);
        }

        return [$value ?? 0, []];
    }

    /**
     * What came into free stock by this booking: for a part of the deed that goes on with it.
     *
     * @return list<array{key: StockKey, quantity: BigDecimal}>
     */
    public function came(): array
    {
        return $this->came;
    }

    /**
     * Brings the value of stock up or down without a quantity: a late cost, a settled order.
     *
     * @param  int  $cents  into stock; below zero out of it
     * @param  End  $end  where the value comes from, or goes to
     * @param  list<int>  $receipts  first in, first out: the moves whose layers it belongs to
     */
    public function revalue(Item $item, int $cents, StockKey $key, End $end, array $receipts = []): void
    {
        if ($cents === 0) {
            return;
        }
        [$from, $to] = $cents > 0 ? [$end, End::stock($key)] : [End::stock($key), $end];
        $cents > 0 ? $this->stock->values->put($key, BigDecimal::zero(), $cents)
            : $this->stock->values->take($key, BigDecimal::zero(), -$cents, $item->label(), null);
        $id = $this->rows->add($item, BigDecimal::zero(), abs($cents), $from, $to);
        if ($id !== null) {
            $this->rows->change($item, $id, $this->stock->values->layers->shares($item->id, $cents, $receipts));
        }
    }

    /**
     * A cost that no stock carries any more.
     *
     * @param  int  $cents  below zero for a credit
     */
    public function variance(Item $item, int $cents, int $lot = 0): void
    {
        $this->rows->value($item, $cents, End::outside(), End::variance(), $lot);
    }

    /**
     * A cost known later of what was bought for an order alone.
     *
     * @param  int  $cents  below zero for a credit
     */
    public function cost(Item $item, int $cents, int $order, int $purchase): void
    {
        $this->rows->value($item, $cents, End::outside($purchase), End::costOf($order, $purchase));
    }

    /**
     * Books the negative of an earlier move, out of and into the very layers it used.
     *
     * @param  End  $from  where the earlier one went
     */
    public function back(Item $item, Move $move, End $from, End $to): int
    {
        $quantity = BigDecimal::of($move->quantity);
        $uses = array_map(
            fn (LayerUse $use): LayerUse => new LayerUse($use->layer, $use->quantity->negated(), -$use->value),
            $this->stock->values->layers->usesOf($move),
        );
        if ($from->stock !== null && $to->stock === null) {
            $uses = $uses === [] ? $this->stock->values->layers->broughtBy($move, $item->label()) : $uses;
            $this->stock->values->take($from->stock, $quantity, $move->value, $item->label(), null);
        } elseif ($to->stock !== null && $from->stock === null) {
            $this->stock->values->put($to->stock, $quantity, $move->value);
        }
        $this->quantities($item, $quantity, $from, $to);
        $says = MoveRows::reversing($move);
        $id = $this->rows->add($item, $quantity, $move->value, $from, $to, $move->lot_id, $says);
        if ($id !== null) {
            $this->rows->change($item, $id, $uses);
        }

        return $move->value;
    }

    public function locks(Undone $undone): Needs
    {
        return MovesBack::needs($undone);
    }

    public function against(Undone $undone): array
    {
        return [];
    }

    public function reverse(Undone $undone): void
    {
        (new MovesBack($this->ledger, $undone))->write();
    }

    public function flush(): void
    {
        $this->rows->flush();
    }

    private function quantities(Item $item, BigDecimal $quantity, End $from, End $to): void
    {
        $from->stock === null ?: $this->stock->add($from->stock, $quantity->negated(), $item->label());
        $to->stock === null ?: $this->stock->add($to->stock, $quantity, $item->label());
        if (self::isFree($from) && ! self::isFree($to) && ! in_array($to->kind, self::WANTED, true)) {
            $this->lost[$item->id] = ($this->lost[$item->id] ?? BigDecimal::zero())->plus($quantity);
        }
    }

    /**
     * Which orders it leaves without a part, told at once; what it does to dates is told when it is planned.
     *
     * @return list<string> sentences
     */
    public function leavesWithout(): array
    {
        $says = [];
        foreach ($this->lost as $item => $quantity) {
            $orders = WhoLacks::of($item, $quantity, fn (): BigDecimal => $this->stock->unpromised($item));
            if ($orders !== []) {
                $says[] = (count($orders) === 1 ? 'Order ' : 'Orders ')
                    .collect($orders)->join(', ', ' and ')
                    .(count($orders) === 1 ? ' lacks it now.' : ' lack it now.');
            }
        }

        return $says;
    }

    private static function isFree(End $end): bool
    {
        return $end->stock?->condition === Condition::Free && $end->stock->owner === 0;
    }
}
