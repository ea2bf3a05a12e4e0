<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

use Brick\Math\BigDecimal;

/** Stock that is kept hard for one order: of one lot, or of any. */
final readonly class KeptFor
{
    /**
     * @param  int  $lot  0 = of any
     * @param  string  $number  of the order
     * @param  BigDecimal  $quantity  still kept
     */
    public function __construct(
        public int $id,
        public int $order,
        public string $number,
        public int $lot,
        public BigDecimal $quantity,
    ) {
    }

    public function less(BigDecimal $taken): self
    {
        return new self($this->id, $this->order, $this->number, $this->lot, $this->quantity->minus($taken));
    }
}
