<?php

namespace App\Actions\Purchasing;

/** What is bought by words, as it was typed. */
final readonly class WordsToBuy
{
    /**
     * @param  string  $price  euros for one of the unit
     * @param  string  $expectedOn  "YYYY-MM-DD"
     */
    public function __construct(
        public string $words,
        public int $supplier,
        public string $quantity,
        public int $unit,
        public string $price,
        public string $expectedOn,
    ) {
    }
}
