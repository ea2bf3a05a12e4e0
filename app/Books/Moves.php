<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\Item;
use App\Models\Move;
use App\Models\Place;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostingRule;
use KeepPace\Core\Costing\LayerUse;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\PlaceKind;
use KeepPace\Core\Stock\StockKey;

/**
 * The two-sided moves of one booking: quantity between balances, value by the item's costing rule, layers where it
 * keeps them.
 */
final class Moves
{
    /** @var list<array<string, int|string|null>> to be written at the end */
    private array $moves = [];

    /** @var array<string, int> ids of the places that are ends of moves, by kind */
    private array $ends = [];

    public function __construct(private readonly Booking $booking, private readonly LockedBalances $stock)
    {
    }

    /**
     * Moves a quantity and its value from one end to the other.
     *
     * @param  int|null  $value  cents that go with it; null = what it is worth by the item's costing rule
     * @param  StockKey|string  $from  a locked key, or the kind of an end: outside, scrap, order, customer, variance
     * @param  array<string, int|string|null>  $because  component_id, line_id, purchase_id, order_id, typed_quantity,
     *     typed_unit_id, scrap_class
     * @return int the value that moved; with standard cost not what was given where it comes in
     */
    public function move(
        Item $item,
        BigDecimal $quantity,
        ?int $value,
        StockKey|string $from,
        StockKey|string $to,
        array $because = [],
        int $lot = 0,
    ): int {
        $uses = [];
        $given = $value;
        if ($from instanceof StockKey && $to instanceof StockKey) {
            $value ??= $this->stock->values->of($from)->valueOf($quantity);
        } elseif ($from instanceof StockKey) {
            [$worth, $uses] = $this->stock->values->leaving($from, $quantity, $item->label());
            $value ??= $worth;
            $this->stock->values->take($from, $quantity, $value, $item->label(), $uses);
        } elseif ($to instanceof StockKey) {
            $value ??= throw new \LogicException('What comes in has a value.');
            // what an order gives back comes in as it went out
            $value = isset($because['component_id']) ? $value : $this->stock->values->coming($to, $quantity, $value);
            $this->stock->values->put($to, $quantity, $value);
        }
        $value ??= 0;
        $this->quantities($item, $quantity, $from, $to);
        $id = $this->write($item, $this->row($item, $quantity, $value, $from, $to, $because, $lot), $from, $to);
        $this->layers($item, $id, $quantity, $value, $from, $to, $uses);
        if ($from === PlaceKind::Outside->value && $to instanceof StockKey && $to->owner === 0) {
            // standard cost: what was paid more or less than the set cost is variance at once (IAS 2.21)
            $this->variance($item, ($given ?? $value) - $value, $to->lot);
        }

        return $value;
    }

    /**
     * Brings the value of stock up or down without a quantity: a late cost, a settled order.
     *
     * @param  int  $cents  into stock; below zero out of it
     * @param  string  $end  where the value comes from, or goes to
     * @param  list<int>  $receipts  first in, first out: the moves whose layers it belongs to
     * @param  array<string, int|string|null>  $because
     */
    public function revalue(
        Item $item,
        int $cents,
        StockKey $key,
        string $end,
        array $receipts = [],
        array $because = [],
    ): void {
        if ($cents === 0) {
            return;
        }
        [$from, $to] = $cents > 0 ? [$end, $key] : [$key, $end];
        $cents > 0 ? $this->stock->values->put($key, BigDecimal::zero(), $cents)
            : $this->stock->values->take($key, BigDecimal::zero(), -$cents, $item->label(), null);
        $id = $this->write(
            $item,
            $this->row($item, BigDecimal::zero(), abs($cents), $from, $to, $because, 0),
            $from,
            $to,
        );
        foreach ($id === null ? [] : $this->stock->values->layers->shares($item->id, $cents, $receipts) as $use) {
            $this->use($item, $id, $use);
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
            $this->moves[] = $this->row(
                $item,
                BigDecimal::zero(),
                abs($cents),
                $cents > 0 ? 'outside' : 'variance',
                $cents > 0 ? 'variance' : 'outside',
                [],
                $lot,
            );
        }
    }

    /**
     * Books the negative of an earlier move, out of and into the very layers it used.
     *
     * @param  StockKey|string  $from  where the earlier one went
     */
    public function back(Item $item, Move $move, StockKey|string $from, StockKey|string $to): int
    {
        $quantity = BigDecimal::of($move->quantity);
        $uses = array_map(
            fn (LayerUse $use): LayerUse => new LayerUse($use->layer, $use->quantity->negated(), -$use->value),
            $this->stock->values->layers->usesOf($move),
        );
        if ($from instanceof StockKey && ! ($to instanceof StockKey)) {
            $uses = $uses === [] ? $this->stock->values->layers->broughtBy($move, $item->label()) : $uses;
            $this->stock->values->take($from, $quantity, $move->value, $item->label(), null);
        } elseif ($to instanceof StockKey && ! $from instanceof StockKey) {
            $this->stock->values->put($to, $quantity, $move->value);
        }
        $this->quantities($item, $quantity, $from, $to);
        $id = $this->write(
            $item,
            [
                ...$this->row(
                    $item,
                    $quantity,
                    $move->value,
                    $from,
                    $to,
                    $move->only([
                        'order_id',
                        'component_id',
                        'line_id',
                        'purchase_id',
                        'typed_quantity',
                        'typed_unit_id',
                        'scrap_class',
                        'reason',
                    ]),
                    $move->lot_id,
                ),
                'reverses_id' => $move->id,
            ],
            $from,
            $to,
        );
        foreach ($id === null ? [] : $uses as $use) {
            $this->use($item, $id, $use);
        }

        return $move->value;
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

    private function quantities(Item $item, BigDecimal $quantity, StockKey|string $from, StockKey|string $to): void
    {
        if ($from instanceof StockKey) {
            $this->stock->add($from, $quantity->negated(), $item->label());
        }
        if ($to instanceof StockKey) {
            $this->stock->add($to, $quantity, $item->label());
        }
    }

    /**
     * @param  array<string, int|string|null>  $because
     * @return array<string, int|string|null>
     */
    private function row(
        Item $item,
        BigDecimal $quantity,
        int $value,
        StockKey|string $from,
        StockKey|string $to,
        array $because,
        int $lot,
    ): array {
        $key = $from instanceof StockKey ? $from : ($to instanceof StockKey ? $to : null);

        return [
            'booking_id' => $this->booking->id,
            'item_id' => $item->id,
            'lot_id' => $key === null ? $lot : $key->lot,
            'owner_id' => $key === null ? 0 : $key->owner,
            'from_place_id' => $from instanceof StockKey ? $from->place : $this->end($from),
            'from_condition' => $from instanceof StockKey ? $from->condition->value : Condition::Free->value,
            'to_place_id' => $to instanceof StockKey ? $to->place : $this->end($to),
            'to_condition' => $to instanceof StockKey ? $to->condition->value : Condition::Free->value,
            'quantity' => (string) $quantity,
            'value' => $value,
            'order_id' => $this->booking->order_id ?? null,
            'component_id' => null,
            'line_id' => null,
            'purchase_id' => null,
            'typed_quantity' => null,
            'typed_unit_id' => null,
            'reverses_id' => null,
            'scrap_class' => '',
            'reason' => '',
            ...$because,
        ];
    }

    /**
     * Moves wait for the end of the deed; those of layers are written at once, for their layers refer to them.
     *
     * @param  array<string, int|string|null>  $row
     */
    private function write(Item $item, array $row, StockKey|string $from, StockKey|string $to): ?int
    {
        $keeps = ($from instanceof StockKey && $from->owner === 0) || ($to instanceof StockKey && $to->owner === 0);
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
        StockKey|string $from,
        StockKey|string $to,
        array $uses,
    ): void {
        if ($move === null || ($from instanceof StockKey && $to instanceof StockKey)) {
            return;
        }
        if ($to instanceof StockKey) {
            DB::table('cost_layers')->insert([
                'item_id' => $item->id,
                'move_id' => $move,
                'left_quantity' => (string) $quantity,
                'left_value' => $value,
            ]);
            $this->stock->values->layers->changed($item->id);
        }
        foreach ($uses as $use) {
            DB::table('layer_uses')->insert([
                'layer_id' => $use->layer,
                'move_id' => $move,
                'quantity' => (string) $use->quantity,
                'value' => $use->value,
            ]);
        }
    }

    private function use(Item $item, int $move, LayerUse $use): void
    {
        $this->stock->values->layers->change($item->id, $use->layer, $use->quantity, $use->value);
        DB::table('layer_uses')->insert([
            'layer_id' => $use->layer,
            'move_id' => $move,
            'quantity' => (string) $use->quantity,
            'value' => $use->value,
        ]);
    }

    private function end(string $kind): int
    {
        return $this->ends[$kind] ??= Place::end($kind)->id;
    }
}
