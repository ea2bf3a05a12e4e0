<?php

namespace App\Queries\Stock;

use App\Models\BookingKind;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** One move of an item, and what was on hand after it. */
final readonly class Movement
{
    /**
     * @param  BigDecimal  $signed  what it brought into the house, less than none what it took
     * @param  int  $value  cents
     * @param  BigDecimal  $onHand  after it
     */
    private function __construct(
        public int $id,
        public int $bookingId,
        public BookingKind $kind,
        public CarbonImmutable $enteredAt,
        public string $person,
        public string $from,
        public string $to,
        public ?string $lot,
        public ?int $orderId,
        public ?string $order,
        public ?int $customerOrderId,
        public ?string $customerOrder,
        public ?string $purchase,
        public BigDecimal $signed,
        public int $value,
        public BigDecimal $onHand,
    ) {
    }

    public static function from(Row $row, BigDecimal $onHand): self
    {
        return new self(
            $row->int('id'),
            $row->int('booking_id'),
            $row->enum('kind', BookingKind::class),
            $row->moment('entered_at'),
            $row->text('person'),
            $row->text('from_name'),
            $row->text('to_name'),
            $row->textOrNull('lot'),
            $row->intOrNull('order_id'),
            $row->textOrNull('order_number'),
            $row->intOrNull('customer_order_id'),
            $row->textOrNull('customer_order_number'),
            $row->textOrNull('purchase_number'),
            $row->decimal('signed'),
            $row->int('value'),
            $onHand,
        );
    }

    public function sign(): string
    {
        return $this->signed->isPositive() ? '+' : '';
    }
}
