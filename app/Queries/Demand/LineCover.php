<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Wording\CoverWords;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** By what some of a customer line is covered: stock, or an order. */
final readonly class LineCover
{
    /** @param  int|null  $orderId  null = from stock */
    private function __construct(
        public int $id,
        public int $lineId,
        public BigDecimal $quantity,
        public ?int $orderId,
        public ?string $order,
        private ?CarbonImmutable $finishAt,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('line_id'),
            $row->decimal('quantity'),
            $row->intOrNull('order_id'),
            $row->textOrNull('order_number'),
            $row->momentOrNull('finish_at'),
        );
    }

    /** It is finished after that day of the plant. */
    public function isAfter(string $day): bool
    {
        return $this->finishAt !== null && When::local($this->finishAt)->toDateString() > $day;
    }

    /** "6 from 218 on Thu" */
    public function says(): string
    {
        return $this->order === null
            ? CoverWords::fromStock($this->quantity)
            : CoverWords::fromOrder($this->quantity, $this->order, $this->finishAt);
    }

    /** "218" or "stock" */
    public function source(): string
    {
        return $this->order ?? 'stock';
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "untie-{$this->id}";
    }
}
