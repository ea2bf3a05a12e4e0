<?php

namespace App\Queries\Flow;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\FlowEvent;

/** Something of an item that will come or go, with the document it stands on. */
final readonly class FlowLine
{
    /**
     * @param  string  $document  "purchase P-558/1"
     * @param  string  $to  its page
     * @param  string  $says  what it rests on, beside it
     */
    private function __construct(
        public int $item,
        public FlowEvent $event,
        public string $document,
        public string $to,
        public string $says,
    ) {
    }

    /**
     * @param  int|null  $at  UTC minute
     * @param  BigDecimal  $quantity  below 0 what goes
     */
    public static function of(
        Row $row,
        ?int $at,
        BigDecimal $quantity,
        string $document,
        string $to,
        string $says,
    ): self {
        return new self(
            $row->int('item_id'),
            new FlowEvent($at, $quantity, $row->int('id')),
            $document,
            $to,
            $says,
        );
    }
}
