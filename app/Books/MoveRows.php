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
use KeepPace\Core\Stock\End;

/**
 * The rows of one booking's moves, and of layers where an item's costing keeps them. Moves wait for the end of the
 * deed, for an opening has thousands; those of layers are written at once, for their layers refer to them.
 */
final class MoveRows
{
    /** @var list<array<string, int|string|null>> to be written at the end */
    private array $waiting = [];

    /** @var array<string, int> ids of the places that are ends of moves, by kind */
    private array $ends = [];

    public function __construct(private readonly Booking $booking, private readonly LockedValues $values)
    {
    }

    /**
     * A value alone, which no layer carries.
     *
     * @param  int  $cents  from one end to the other; below zero the other way round
     */
    public function value(Item $item, int $cents, End $from, End $to, int $lot = 0): void
    {
        if ($cents !== 0) {
            [$from, $to] = $cents > 0 ? [$from, $to] : [$to, $from];
            $this->waiting[] = $this->row($item, BigDecimal::zero(), abs($cents), $from, $to, $lot);
        }
    }

    /**
     * @param  int  $value  cents
     * @param  array<string, int|string|null>  $says  columns beside
     * @param  int  $lot  where neither end is stock
     * @return int|null its id, where layers have to refer to it
     */
    public function add(
        Item $item,
        BigDecimal $quantity,
        int $value,
        End $from,
        End $to,
        int $lot = 0,
        array $says = [],
    ): ?int {
        $row = [...$this->row($item, $quantity, $value, $from, $to, $lot), ...$says];
        $isOurs = $from->stock?->owner === 0 || $to->stock?->owner === 0;
        if ($isOurs && $this->values->rule($item->id) === CostingRule::FirstInFirstOut) {
            return DB::table('moves')->insertGetId($row);
        }
        $this->waiting[] = $row;

        return null;
    }

    /**
     * What a reversing move says of the one it takes back.
     *
     * @return array<string, int|string|null>
     */
    public static function reversing(Move $move): array
    {
        return [
            'order_id' => $move->order_id,
            'typed_quantity' => $move->typed_quantity,
            'typed_unit_id' => $move->typed_unit_id,
            'reason' => $move->reason,
            'reverses_id' => $move->id,
        ];
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

    private function place(End $end): int
    {
        return $end->stock->place ?? ($this->ends[$end->kind->value] ??= Place::end($end->kind)->id);
    }

    /** What came into stock is a layer of its own. */
    public function layer(Item $item, int $move, BigDecimal $quantity, int $value): void
    {
        DB::table('cost_layers')->insert([
            'item_id' => $item->id,
            'move_id' => $move,
            'left_quantity' => (string) $quantity,
            'left_value' => $value,
        ]);
        $this->values->layers->changed($item->id);
    }

    /** @param  list<LayerUse>  $uses  out of which layers a move went; they were taken from them already */
    public function uses(int $move, array $uses): void
    {
        foreach ($uses as $use) {
            DB::table('layer_uses')->insert([
                'layer_id' => $use->layer,
                'move_id' => $move,
                'quantity' => (string) $use->quantity,
                'value' => $use->value,
            ]);
        }
    }

    /** @param  list<LayerUse>  $uses  what layers gain, or lose below zero, by a move */
    public function change(Item $item, int $move, array $uses): void
    {
        foreach ($uses as $use) {
            $this->values->layers->change($item->id, $use->layer, $use->quantity, $use->value);
        }
        $this->uses($move, $uses);
    }

    /** In bulk, at the end of the deed. */
    public function flush(): void
    {
        // columns that say nothing on any line are left to their defaults
        $says = [];
        foreach ($this->waiting as $row) {
            $says += array_filter($row, fn (int|string|null $value): bool => $value !== null && $value !== '');
        }
        foreach (array_chunk($this->waiting, 500) as $rows) {
            DB::table('moves')->insert(array_map(fn (array $row): array => array_intersect_key($row, $says), $rows));
        }
        $this->waiting = [];
    }
}
