<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** Something expected into stock: an open order (its date comes out of the schedule) or a purchase with a date. */
final readonly class Supply
{
    /**
     * @param  Document  $by  the order that makes it, or the purchase it comes with
     * @param  Arrival|null  $arrival  null for an order
     * @param  int|null  $forOrder  kept for this order
     */
    public function __construct(
        public Document $by,
        public int $item,
        public BigDecimal $open,
        public ?Arrival $arrival = null,
        public ?int $forOrder = null,
    ) {
    }

    /** So much of it, kept for an order or for anybody. */
    public function part(BigDecimal $open, ?int $forOrder = null): self
    {
        return new self($this->by, $this->item, $open, $this->arrival, $forOrder);
    }

    /**
     * When it can be used, if that is known.
     *
     * @param  array<int, int>  $finish  when orders are finished, by order id, from the schedule
     */
    public function arrives(array $finish): ?Arrival
    {
        $order = $this->by->orderId();
        if ($order === null) {
            return $this->arrival;
        }

        return isset($finish[$order]) ? new Arrival($finish[$order]) : null;
    }
}
