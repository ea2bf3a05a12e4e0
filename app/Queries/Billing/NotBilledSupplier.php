<?php

namespace App\Queries\Billing;

use Illuminate\Support\Collection;

/** What came of one supplier and was not billed: the first of its lines, and the sum of all. */
final readonly class NotBilledSupplier
{
    /**
     * @param  int  $cents  of all lines
     * @param  int  $count  of all lines
     * @param  Collection<int, NotBilled>  $lines  the first of them
     */
    public function __construct(
        public int $id,
        public string $name,
        public int $cents,
        private int $count,
        public Collection $lines,
    ) {
    }

    /** Lines that are not shown. */
    public function more(): int
    {
        return $this->count - $this->lines->count();
    }
}
