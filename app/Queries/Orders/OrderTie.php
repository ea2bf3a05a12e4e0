<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** A customer line the order is made for. */
final readonly class OrderTie
{
    /** @param  BigDecimal  $quantity  promised to it and not received yet */
    private function __construct(
        public int $id,
        public int $customerOrderId,
        public string $customer,
        public BigDecimal $quantity,
        public string $promisedOn,
        private string $number,
        private int $position,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('customer_order_id'),
            $row->text('customer'),
            $row->decimal('quantity'),
            $row->text('promised_on'),
            $row->text('number'),
            $row->int('position'),
        );
    }

    /** "C-2001/10" */
    public function line(): string
    {
        return "{$this->number}/{$this->position}";
    }
}
