<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use App\Shop\Deliveries;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Outside\Sent;
use KeepPace\Core\Planning\Arrival;

/** A line of a consignment: pieces of a step, and what became of them. */
final readonly class SentLine
{
    private function __construct(
        public int $id,
        public int $position,
        public int $stepId,
        public int $orderId,
        public string $order,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $step,
        public Sent $pieces,
        public Arrival $back,
        public CarbonImmutable $given,
        public ?int $next,
    ) {
    }

    public static function from(Row $row, Deliveries $deliveries): self
    {
        return new self(
            $row->int('id'),
            $row->int('position'),
            $row->int('order_step_id'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            "{$row->text('number')} {$row->text('name')}",
            new Sent(
                $row->decimal('sent'),
                $row->decimal('good'),
                $row->decimal('spoiled'),
                $row->decimal('lost'),
                $row->decimal('unworked'),
            ),
            $deliveries->back($row->text('back_at'), $row->textOrNull('ask_again_on')),
            $row->moment('back_at'),
            $row->intOrNull('next_number'),
        );
    }

    public function there(): BigDecimal
    {
        return $this->pieces->there();
    }

    public function isThere(): bool
    {
        return $this->there()->isPositive();
    }

    /** What a scanner reads on its label: the order's number. */
    public function code(): string
    {
        return $this->order;
    }
}
