<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** A released order to which something can still be issued. */
final readonly class IssuableOrder
{
    /**
     * @param  int  $openLines  components not all issued
     * @param  int  $thereLines  of these, for which something lies in stores
     */
    private function __construct(
        public int $id,
        public string $number,
        public OrderState $state,
        public string $item,
        public string $itemNumber,
        public BigDecimal $quantity,
        public ?string $dueOn,
        public int $openLines,
        public int $thereLines,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->enum('state', OrderState::class),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->decimal('quantity'),
            $row->textOrNull('due_on'),
            $row->int('open_lines'),
            $row->intOrNull('there_lines') ?? 0,
        );
    }
}
