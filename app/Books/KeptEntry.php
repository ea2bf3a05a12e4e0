<?php

namespace App\Books;

use App\Models\Move;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;

/** What one booking changed of what is kept for an order. */
final readonly class KeptEntry
{
    /** @param  BigDecimal  $left  of it now */
    private function __construct(
        public int $reservation,
        public int $order,
        public int $item,
        public int $lot,
        public BigDecimal $quantity,
        public BigDecimal $left,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->int('item_id'),
            $row->int('lot_id'),
            $row->decimal('quantity'),
            $row->decimal('left'),
        );
    }

    /**
     * How much of it these moves brought to the order.
     *
     * @param  Collection<int, Move>  $moves
     */
    public function movedIn(Collection $moves): BigDecimal
    {
        return $moves
            ->filter(fn (Move $move): bool => $move->order_id === $this->order
                && $move->item_id === $this->item
                && in_array($this->lot, [0, $move->lot_id], true))
            ->reduce(fn (BigDecimal $sum, Move $move): BigDecimal => $sum->plus($move->quantity), BigDecimal::zero());
    }
}
