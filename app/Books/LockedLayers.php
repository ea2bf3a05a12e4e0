<?php

namespace App\Books;

use App\Models\Move;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\Layer;
use KeepPace\Core\Costing\LayerUse;
use KeepPace\Core\Costing\StockValue;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\StockRefused;

/** The cost layers of items whose first in goes first out, as one deed works on them. Guarded by the items' locks. */
final class LockedLayers
{
    /** @var array<int, list<Layer>|null> by item, oldest first; null = to be read */
    private array $layers = [];

    /**
     * Layers of an item that hold something, oldest first.
     *
     * @return list<Layer>
     */
    public function of(int $item): array
    {
        return $this->layers[$item] ??= array_values(Row::all(
            DB::table('cost_layers')
                ->where('item_id', $item)
                ->where(fn (Builder $any) => $any->where('left_quantity', '>', 0)->orWhere('left_value', '<>', 0))
                ->orderBy('id'),
            self::layer(...),
        )->all());
    }

    /**
     * What a move took from layers, to be put back into them.
     *
     * @return list<LayerUse>
     */
    public function usesOf(Move $move): array
    {
        return array_values(Row::all(
            DB::table('layer_uses')->where('move_id', $move->id)->orderBy('id'),
            fn (Row $row): LayerUse => new LayerUse(
                $row->int('layer_id'),
                $row->decimal('quantity'),
                $row->int('value'),
            ),
        )->all());
    }

    /**
     * The layer a move brought in, as a use of all of it.
     *
     * @return list<LayerUse>
     *
     * @throws StockRefused when some of it has been used since
     */
    public function broughtBy(Move $move, string $what): array
    {
        $layer = Row::first(DB::table('cost_layers')->where('move_id', $move->id), self::layer(...));
        if ($layer === null) {
            return [];
        }
        if (! $layer->quantity->isEqualTo($move->quantity)) {
            $by = self::bookings($layer->id, 'SUM(u.quantity) > 0');
            throw StockRefused::usedSince($what, $by);
        }
        if ($layer->value !== $move->value) {
            $by = self::bookings($layer->id, 'SUM(u.quantity = 0) > 0');
            throw StockRefused::usedSince($what, $by);
        }

        return [new LayerUse($layer->id, $layer->quantity, $layer->value)];
    }

    private static function layer(Row $row): Layer
    {
        return new Layer($row->int('id'), $row->decimal('left_quantity'), $row->int('left_value'));
    }

    /**
     * @param  literal-string  $that  of the uses of one booking
     * @return list<int>  bookings that used a layer so, newest first
     */
    private static function bookings(int $layer, string $that): array
    {
        return Row::ints(
            DB::table('layer_uses AS u')
                ->join('moves AS m', 'm.id', 'u.move_id')
                ->where('u.layer_id', $layer)
                ->groupBy('m.booking_id')
                ->havingRaw($that)
                ->orderByDesc('m.booking_id'),
            'm.booking_id',
        );
    }

    public function change(int $item, int $layer, BigDecimal $quantity, int $value): void
    {
        $this->layers[$item] = $quantity->isPositive()
            ? array_map(
                fn (Layer $one): Layer => $one->id === $layer ? $one->less($quantity, $value) : $one,
                $this->of($item),
            )
            : null; // one that was empty is not among those read
        DB::table('cost_layers')
            ->where('id', $layer)
            ->update([
                'left_quantity' => DB::raw("left_quantity - {$quantity}"),
                'left_value' => DB::raw("left_value - {$value}"),
            ]);
    }

    /**
     * A value without quantity, shared over the layers it belongs to by what is left in them.
     *
     * @param  int  $cents  into stock; below zero out of it
     * @param  list<int>  $receipts  moves that brought the layers in; none = all of the item
     * @return list<LayerUse>
     */
    public function shares(int $item, int $cents, array $receipts): array
    {
        $layers = $this->layersOf($item, $receipts);
        if ($layers === []) {
            throw new \LogicException("No layer of item {$item} is left to carry the value.");
        }
        // what is taken out is shared by value: none falls below zero
        $shares = Cents::split(
            $cents,
            array_map(
                fn (Layer $layer): int => $cents < 0
                    ? $layer->value
                    : $layer->quantity->multipliedBy(1_000_000)->toInt(),
                $layers,
            ),
        );

        return array_map(
            fn (Layer $layer, int $share): LayerUse => new LayerUse($layer->id, BigDecimal::zero(), -$share),
            $layers,
            $shares,
        );
    }

    /**
     * What is left of some receipts, first in, first out.
     *
     * @param  list<int>  $receipts
     */
    public function left(int $item, array $receipts): StockValue
    {
        return array_reduce(
            $this->layersOf($item, $receipts),
            fn (StockValue $sum, Layer $layer): StockValue => $sum->put($layer->quantity, $layer->value),
            StockValue::none(),
        );
    }

    /**
     * @param  list<int>  $receipts
     * @return list<Layer>
     */
    private function layersOf(int $item, array $receipts): array
    {
        $of = $receipts === [] ? null : DB::table('cost_layers')->whereIn('move_id', $receipts)->pluck('id')->flip();

        return array_values(
            array_filter(
                $this->of($item),
                fn (Layer $layer): bool => $layer->quantity->isPositive() && ($of === null || isset($of[$layer->id])),
            ),
        );
    }

    /** A move that is not written yet brought these in: forget what was read. */
    public function changed(int $item): void
    {
        unset($this->layers[$item]);
    }
}
