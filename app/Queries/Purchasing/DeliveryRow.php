<?php

namespace App\Queries\Purchasing;

use App\Models\PurchaseLine;
use App\Wording\When;
use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;

/** A line that is open, on the sheet of a delivery, in the unit it was ordered in. */
final readonly class DeliveryRow
{
    /**
     * @param  BigDecimal  $open  to come, in that unit
     * @param  BigDecimal  $seen  the same in stock units, by which it is known whether somebody booked meanwhile
     */
    private function __construct(
        public int $id,
        public string $number,
        public int $order,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $open,
        public BigDecimal $seen,
        public string $expected,
        public bool $isTracked,
    ) {
    }

    /** @param  PurchaseLine  $line  with its item, that one's unit and the unit it was typed in */
    public static function from(PurchaseLine $line): self
    {
        return new self(
            $line->id,
            $line->number,
            $line->purchase_order_id,
            $line->name(),
            $line->item->shownNumber(),
            $line->typedUnit->code ?? $line->item->unit->code,
            $line->asTyped($line->openQuantity()),
            $line->openQuantity(),
            When::day($line->expected_on),
            $line->item->isTracked(),
        );
    }

    /** As it is put into a field with one touch. */
    public function all(): string
    {
        return Amount::plain((string) $this->open);
    }

    public function field(string $name): string
    {
        return "lines[{$this->id}][{$name}]";
    }

    public function key(string $name = ''): string
    {
        return "lines.{$this->id}".($name === '' ? '' : ".{$name}");
    }
}
