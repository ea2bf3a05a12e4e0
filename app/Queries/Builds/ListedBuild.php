<?php

namespace App\Queries\Builds;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** A build that is asked for and not all built. */
final readonly class ListedBuild
{
    private function __construct(
        public int $id,
        public string $number,
        public string $reference,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public int $decimals,
        public BigDecimal $asked,
        public BigDecimal $received,
        public ?string $dueOn,
        public OrderState $state,
        public bool $isHeld,
        public ?string $customers,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('reference'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->int('decimals'),
            $row->decimal('quantity'),
            $row->decimal('received_quantity'),
            $row->textOrNull('due_on'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->textOrNull('customers'),
        );
    }

    public function left(): BigDecimal
    {
        return $this->asked->minus($this->received);
    }

    public function forWhom(): string
    {
        return $this->customers ?? 'the shelf';
    }
}
