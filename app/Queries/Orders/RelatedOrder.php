<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use KeepPace\Core\Planning\OrderState;

/** An order for a part of another, or the one it is a part of. */
final readonly class RelatedOrder
{
    private function __construct(
        public int $id,
        public string $number,
        public string $item,
        public OrderState $state,
        private bool $isPart,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('item_name'),
            $row->enum('state', OrderState::class),
            $row->flag('is_part'),
        );
    }

    /** "its part", or what it is for */
    public function says(): string
    {
        return $this->isPart ? 'its part' : 'for';
    }
}
