<?php

namespace App\Actions\Billing;

/** A supplier's bill as it was typed, or read from a file. */
final readonly class TypedBill
{
    /**
     * @param  string  $number  the supplier's
     * @param  string  $billedOn  "YYYY-MM-DD"
     * @param  int|null  $total  cents, as it stands on the paper; null = not said
     * @param  list<TypedBillLine>  $lines
     */
    public function __construct(
        public int $supplier,
        public string $number,
        public string $billedOn,
        public ?string $dueOn,
        public ?int $total,
        public array $lines,
    ) {
    }
}
