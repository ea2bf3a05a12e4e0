<?php

namespace App\Queries\Usage;

use App\Models\Slip;
use App\Reading\Row;
use Carbon\CarbonImmutable;

/** A usage slip as the list shows it. */
final readonly class ListedSlip
{
    /** @param  int  $picked  lines of which something is picked */
    private function __construct(
        public int $id,
        private string $state,
        public string $note,
        public string $person,
        public CarbonImmutable $updatedAt,
        public int $lines,
        private int $orders,
        private string $firstOrder,
        public int $picked,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('state'),
            $row->text('note'),
            $row->text('person'),
            $row->moment('updated_at'),
            $row->intOrNull('line_count') ?? 0,
            $row->intOrNull('order_count') ?? 0,
            $row->textOrNull('first_order') ?? '',
            $row->intOrNull('picked') ?? 0,
        );
    }

    public function isOpen(): bool
    {
        return $this->state === Slip::OPEN;
    }

    public function isBooked(): bool
    {
        return $this->state === Slip::BOOKED;
    }

    /** "218", "3 orders" */
    public function ordersSay(): string
    {
        return $this->orders === 1 ? $this->firstOrder : "{$this->orders} orders";
    }
}
