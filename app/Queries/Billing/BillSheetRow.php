<?php

namespace App\Queries\Billing;

/** A line on the sheet of a bill, in the unit it was ordered in. */
final readonly class BillSheetRow
{
    /**
     * @param  string  $quantity  not billed, in that unit
     * @param  string  $price  agreed, euros for one of that unit
     */
    public function __construct(
        public int $id,
        public NotBilled $owed,
        public string $unit,
        public string $quantity,
        public string $price,
    ) {
    }

    public function isBack(): bool
    {
        return $this->owed->owed->isNegative();
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
