<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\Item;
use App\Models\Move;
use App\Models\Place;
use App\Shop\WhoLacks;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
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

    /** @var list<array<string, int|string|null>> to be written at the end */
    private array $moves = [];

    /** @var array<int, BigDecimal> of our own free stock what is lost to all orders, by item */
    private array $lost = [];

    /** @var list<array{key: StockKey, quantity: BigDecimal}> of our own what came into free stock */
    private array $came = [];

    /** @var array<string, int> ids of the places that are ends of moves, by kind */
    private array $ends = [];

    private readonly Booking $booking;

    private readonly LockedBalances $stock;

    public function __construct(private readonly Ledger $ledger)
    {
        $this->booking = $ledger->booking;
        $this->stock = $ledger->stock;
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
        $row = [...$this->row($item, $quantity, $value, $from, $to, $lot), ...($typed?->columns() ?? [])];
        $id = $this->write($item, $row, $from, $to);
        $this->layers($item, $id, $quantity, $value, $from, $to, $uses);
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
        $row = $this->row($item, BigDecimal::zero(), abs($cents), $from, $to, 0);
        $id = $this->write($item, $row, $from, $to);
        if ($id !== null) {
            foreach ($this->stock->values->layers->shares($item->id, $cents, $receipts) as $use) {
                $this->use($item, $id, $use);
            }
        }
    }

    /**
     * A cost that no stock carries any more.
     *
     * @param  int  $cents  below zero for a credit
     */
    public function variance(Item $item, int $cents, int $lot = 0): void
    {
        if ($cents !== 0) {
            [$from, $to] = $cents > 0 ? [End::outside(), End::variance()] : [End::variance(), End::outside()];
            $this->moves[] = $this->row($item, BigDecimal::zero(), abs($cents), $from, $to, $lot);
        }
    }

    /**
     * A cost known later of what was bought for an order alone.
     *
     * @param  int  $cents  below zero for a credit
     */
    public function cost(Item $item, int $cents, int $order, int $purchase): void
    {
        if ($cents !== 0) {
            $ends = [End::outside($purchase), End::costOf($order, $purchase)];
            [$from, $to] = $cents > 0 ? $ends : array_reverse($ends);
            $this->moves[] = $this->row($item, BigDecimal::zero(), abs($cents), $from, $to, 0);
        }
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
        $row = [
            ...$this->row($item, $quantity, $move->value, $from, $to, $move->lot_id),
            'order_id' => $move->order_id,
            'typed_quantity' => $move->typed_quantity,
            'typed_unit_id' => $move->typed_unit_id,
            'reason' => $move->reason,
            'reverses_id' => $move->id,
        ];
        $id = $this->write($item, $row, $from, $to);
        if ($id !== null) {
            foreach ($uses as $use) {
                $this->use($item, $id, $use);
            }
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

    /** Written at the end, in bulk: an opening has thousands. */
    public function flush(): void
    {
        // columns that say nothing on any line are left to their defaults
        $says = [];
        foreach ($this->moves as $row) {
            $says += array_filter($row, fn (int|string|null $value): bool => $value !== null && $value !== '');
        }
        foreach (array_chunk($this->moves, 500) as $rows) {
            DB::table('moves')->insert(array_map(fn (array $row): array => array_intersect_key($row, $says), $rows));
        }
        $this->moves = [];
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

    /** @return array<string, int|string|null> */
    private function row(Item $item, BigDecimal $quantity, int $value, End $from, End $to, int $lot): array
    {
        $key = $from->stock ?? $to->stock;

        return [
            'booking_id' => $this->booking->id,
            'booked_on' => $this->booking->booked_on,
            'item_id' => $item->id,
            'lot_id' => $key === null ? $lot : $key->lot,
            'owner_id' => $key === null ? 0 : $key->owner,
            'from_place_id' => $this->place($from),
            'from_condition' => ($from->stock->condition ?? Condition::Free)->value,
            'to_place_id' => $this->place($to),
            'to_condition' => ($to->stock->condition ?? Condition::Free)->value,
            'quantity' => (string) $quantity,
            'value' => $value,
            'order_id' => $from->order ?? $to->order,
            'component_id' => $from->component ?? $to->component,
            'output_id' => $from->output ?? $to->output,
            'line_id' => $from->line ?? $to->line,
            'purchase_line_id' => $from->purchase ?? $to->purchase,
            'typed_quantity' => null,
            'typed_unit_id' => null,
            'reverses_id' => null,
            'scrap_class' => ($from->scrap ?? $to->scrap)->value ?? '',
            'reason' => '',
        ];
    }

    /**
     * Moves wait for the end of the deed; those of layers are written at once, for their layers refer to them.
     *
     * @param  array<string, int|string|null>  $row
     */
    private function write(Item $item, array $row, End $from, End $to): ?int
    {
        $keeps = $from->stock?->owner === 0 || $to->stock?->owner === 0;
        if ($keeps && $this->stock->values->rule($item->id) === CostingRule::FirstInFirstOut) {
            return DB::table('moves')->insertGetId($row);
        }
        $this->moves[] = $row;

        return null;
    }

    /** @param  list<LayerUse>  $uses */
    private function layers(
        Item $item,
        ?int $move,
        BigDecimal $quantity,
        int $value,
        End $from,
        End $to,
        array $uses,
    ): void {
        if ($move === null || ($from->stock !== null && $to->stock !== null)) {
            return;
        }
        if ($to->stock !== null) {
            DB::table('cost_layers')->insert([
                'item_id' => $item->id,
                'move_id' => $move,
                'left_quantity' => (string) $quantity,
                'left_value' => $value,
            ]);
            $this->stock->values->layers->changed($item->id);
        }
        foreach ($uses as $use) {
            self::written($move, $use);
        }
    }

    private function use(Item $item, int $move, LayerUse $use): void
    {
        $this->stock->values->layers->change($item->id, $use->layer, $use->quantity, $use->value);
        self::written($move, $use);
    }

    private static function written(int $move, LayerUse $use): void
    {
        DB::table('layer_uses')->insert([
            'layer_id' => $use->layer,
            'move_id' => $move,
            'quantity' => (string) $use->quantity,
            'value' => $use->value,
        ]);
    }

    private function place(End $end): int
    {
        return $end->stock->place ?? ($this->ends[$end->kind->value] ??= Place::end($end->kind)->id);
    }
}
