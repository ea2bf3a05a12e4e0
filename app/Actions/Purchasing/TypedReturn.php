<?php

namespace App\Actions\Purchasing;

/** What goes back to a supplier, and on which line it came. */
final readonly class TypedReturn
{
    /**
     * @param  int  $line  of a purchase
     * @param  int  $balance  it lies in
     * @param  bool  $isReplaced  the supplier sends others
     */
    public function __construct(
        public int $line,
        public int $balance,
        public string $quantity,
        public bool $isReplaced,
    ) {
    }
}
