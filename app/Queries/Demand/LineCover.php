<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Shop\Deliveries;
use App\Wording\CoverWords;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\Arrival;

/** By what some of a customer line is covered: stock, an order, or a purchase. */
final readonly class LineCover
{
    /**
     * @param  string|null  $number  of the order or the purchase line; null = from stock
     * @param  CarbonImmutable|null  $at  when it can be shipped, where that is known
     * @param  string|null  $comesOn  the day on which a purchase comes: it can be shipped from the next opening
     */
    private function __construct(
        public int $id,
        public int $lineId,
        public BigDecimal $quantity,
        private ?string $number,
        private ?int $orderId,
        private ?int $purchaseId,
        private ?CarbonImmutable $at,
        private ?string $comesOn,
        private bool $isDraft,
    ) {
    }

    /** @param  Deliveries|null  $deliveries  says from when a purchase can be used; null = none is among them */
    public static function from(Row $row, ?Deliveries $deliveries): self
    {
        $comes = self::comes($row, $deliveries);

        return new self(
            $row->int('id'),
            $row->int('line_id'),
            $row->decimal('quantity'),
            $row->textOrNull('order_number') ?? $row->textOrNull('purchase_number'),
            $row->intOrNull('order_id'),
            $row->intOrNull('purchase_order_id'),
            $comes === null
                ? $row->momentOrNull('finish_at')
                : CarbonImmutable::createFromTimestampUTC($comes->at * 60),
            $comes?->on,
            $row->intOrNull('is_draft') === 1,
        );
    }

    /** A draft brings nothing: it has no day. */
    private static function comes(Row $row, ?Deliveries $deliveries): ?Arrival
    {
        return $deliveries === null || $row->intOrNull('is_draft') !== 0
            ? null
            : $deliveries->ordered($row->text('expected_on'), $row->textOrNull('ask_again_on'));
    }

    /** It can be shipped only after that day of the plant. */
    public function isAfter(string $day): bool
    {
        return $this->at !== null && When::local($this->at)->toDateString() > $day;
    }

    /** "6 from 218 on Thu" */
    public function says(): string
    {
        return match (true) {
            $this->number === null => CoverWords::fromStock($this->quantity),
            $this->isDraft => CoverWords::fromDraft($this->quantity, $this->number),
            default => CoverWords::fromOrder($this->quantity, $this->number, $this->comesOn ?? $this->at),
        };
    }

    /** "218", "P-571/1" or "stock" */
    public function source(): string
    {
        return $this->number ?? 'stock';
    }

    /** The page of what it comes from; null = stock. */
    public function address(): ?string
    {
        return match (true) {
            $this->orderId !== null => route('orders.show', $this->orderId),
            $this->purchaseId !== null => route('purchases.show', $this->purchaseId),
            default => null,
        };
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "untie-{$this->id}";
    }
}
