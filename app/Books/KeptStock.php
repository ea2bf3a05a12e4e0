<?php

namespace App\Books;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Stock that is kept hard for an order: of one lot, or of any. */
final class KeptStock
{
    /** @param  BigDecimal  $quantity  less as the order takes of it */
    private function __construct(
        public readonly int $id,
        public readonly int $itemId,
        public readonly int $lotId,
        public readonly int $orderId,
        public readonly string $order,
        public BigDecimal $quantity,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->int('lot_id'),
            $row->int('order_id'),
            $row->text('number'),
            $row->decimal('quantity'),
        );
    }

    /**
     * @param  array<int, int>  $items
     * @return Collection<int, Collection<int, self>>  by item, the oldest first
     */
    public static function of(array $items): Collection
    {
        return Row::all(self::query()->whereIn('r.item_id', $items), self::from(...))->groupBy('itemId');
    }

    private static function query(): Builder
    {
        return DB::table('reservations AS r')
            ->join('orders AS o', 'o.id', 'r.order_id')
            ->where('r.quantity', '>', 0)
            ->orderBy('r.id')
            ->select(['r.id', 'r.item_id', 'r.lot_id', 'r.order_id', 'r.quantity', 'o.number']);
    }

    public function isOfLot(): bool
    {
        return $this->lotId !== 0;
    }
}
