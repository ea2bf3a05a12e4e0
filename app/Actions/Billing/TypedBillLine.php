<?php

namespace App\Actions\Billing;

use KeepPace\Core\Costing\SpreadBy;

/** A line of a bill as it was typed: goods of a purchase line, or a charge. */
final readonly class TypedBillLine
{
    /**
     * @param  string  $field  its row on the form, for the sentence beside it
     * @param  int|null  $purchase  purchase line; null = a charge
     * @param  string  $quantity  of goods, in the unit
     * @param  string|null  $unit  null = the unit the line was ordered in
     * @param  string  $price  euros for one of that unit
     * @param  string  $says  what is charged
     * @param  int  $cents  of a charge
     * @param  int|null  $receipt  booking of the delivery a charge lies on; null = the goods of its bill
     */
    private function __construct(
        public string $field,
        public ?int $purchase,
        public string $quantity = '0',
        public ?string $unit = null,
        public string $price = '0',
        public string $says = '',
        public int $cents = 0,
        public ?SpreadBy $spreadBy = null,
        public ?int $receipt = null,
    ) {
    }

    public static function goods(string $field, int $purchase, string $quantity, ?string $unit, string $price): self
    {
        return new self($field, $purchase, $quantity, $unit, $price);
    }

    public static function charge(string $field, string $says, int $cents, SpreadBy $by, ?int $receipt = null): self
    {
        return new self($field, null, says: $says, cents: $cents, spreadBy: $by, receipt: $receipt);
    }
}
