<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** Something expected into stock: an open order (its date comes out of the schedule) or a purchase with a date. */
final readonly class Supply
{
    /**
     * @param  string  $name  the document as people read it, e.g. "order 218"
     * @param  int|null  $order  the order that makes it, if one does
     * @param  int|null  $at  UTC minute it is expected; null for an order
     * @param  int|null  $forOrder  kept for this order
     */
    public function __construct(
        public string $name,
        public int $item,
        public BigDecimal $open,
        public ?int $order = null,
        public ?int $at = null,
        public ?int $forOrder = null,
    ) {
    }
}
