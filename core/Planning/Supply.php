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
     * @param  Arrival|null  $arrival  null for an order
     * @param  int|null  $forOrder  kept for this order
     */
    public function __construct(
        public string $name,
        public int $item,
        public BigDecimal $open,
        public ?int $order = null,
        public ?Arrival $arrival = null,
        public ?int $forOrder = null,
    ) {
    }

    /**
     * When it can be used, if that is known.
     *
     * @param  array<int, int>  $finish  when orders are finished, by order id, from the schedule
     */
    public function arrives(array $finish): ?Arrival
    {
        if ($this->order === null) {
            return $this->arrival;
        }

        return isset($finish[$this->order]) ? new Arrival($finish[$this->order]) : null;
    }
}
