<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** An order that makes again what was scrapped; its cost is kept apart. */
final readonly class Remake
{
    private function __construct(
        public int $id,
        public string $number,
        public BigDecimal $quantity,
        public OrderState $state,
        public int $cents,
    ) {
    }

    /** "1 is made again by", before the number of the order. */
    public function says(): string
    {
        return Figures::amount($this->quantity).($this->quantity->isEqualTo(1) ? ' is' : ' are').' made again by';
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->decimal('quantity'),
            $row->enum('state', OrderState::class),
            $row->int('cost'),
        );
    }
}
