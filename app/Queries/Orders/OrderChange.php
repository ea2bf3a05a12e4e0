<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Carbon\CarbonImmutable;

/** Something of an order that was changed after it was copied from the master. */
final readonly class OrderChange
{
    private function __construct(
        public string $what,
        private string $before,
        public string $after,
        public string $person,
        public CarbonImmutable $enteredAt,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->text('what'),
            $row->textOrNull('before') ?? '',
            $row->textOrNull('after') ?? '',
            $row->text('person'),
            $row->moment('entered_at'),
        );
    }

    public function stoodBefore(): string
    {
        return $this->before === '' ? '–' : $this->before;
    }
}
