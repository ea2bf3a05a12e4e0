<?php

namespace App\Queries\Purchasing;

use App\Reading\Row;
use App\Shop\Deliveries;
use App\Wording\ArrivalWords;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Arrival;

/** A line that is ordered of a supplier: what has come of it, and when the rest comes. */
final readonly class OpenPurchase
{
    /**
     * @param  int|null  $orderId  the purchase order it stands on
     * @param  string|null  $askedFor  day for which it was hurried
     * @param  string  $history  what became of the days said before
     */
    private function __construct(
        public int $id,
        public string $number,
        public ?int $orderId,
        public string $supplier,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $quantity,
        public BigDecimal $received,
        private BigDecimal $cancelled,
        public BigDecimal $price,
        public string $expectedOn,
        public ?string $askedFor,
        public bool $isOpen,
        private Arrival $arrival,
        private string $history,
    ) {
    }

    public static function from(Row $row, Deliveries $deliveries): self
    {
        $expected = $row->text('expected_on');
        $passed = $row->int('days_passed') + ($expected < $deliveries->today ? 1 : 0);

        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->intOrNull('purchase_order_id'),
            $row->text('supplier'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->decimal('quantity'),
            $row->decimal('received_quantity'),
            $row->decimal('cancelled_quantity'),
            $row->decimal('price'),
            $expected,
            $row->textOrNull('asked_for'),
            $row->flag('is_open'),
            $deliveries->ordered($expected, $row->textOrNull('ask_again_on')),
            ArrivalWords::history($row->textOrNull('first_expected_on') ?? $expected, $passed),
        );
    }

    public function toCome(): BigDecimal
    {
        return $this->quantity->minus($this->received)->minus($this->cancelled);
    }

    public function isLate(): bool
    {
        return $this->isOpen && $this->arrival->isLate();
    }

    public function isHurried(): bool
    {
        return $this->isOpen && $this->askedFor !== null;
    }

    /** When it comes, or what became of it. */
    public function arrivalSays(): string
    {
        return match (true) {
            $this->isOpen => ArrivalWords::day($this->arrival),
            $this->cancelled->isPositive() => 'given up',
            default => 'all in',
        };
    }

    /** "first said for Tue, passed 2 times" */
    public function historySays(): string
    {
        return $this->isOpen ? $this->history : '';
    }

    /** One of its forms among the others of a page. */
    public function form(string $deed): string
    {
        return "{$deed}-{$this->id}";
    }
}
