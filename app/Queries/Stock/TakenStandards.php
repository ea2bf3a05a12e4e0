<?php

namespace App\Queries\Stock;

use App\Reading\Row;

/** A booking that took other standard costs. */
final readonly class TakenStandards
{
    /** @param  int  $changedSince  of its items, those that cost something else by now */
    private function __construct(
        public int $id,
        public string $bookedOn,
        public string $says,
        public string $person,
        private int $items,
        private int $changedSince,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('booked_on'),
            $row->text('says'),
            $row->text('person'),
            $row->int('items'),
            $row->int('changed_since'),
        );
    }

    public function canGoBack(): bool
    {
        return $this->items > 0 && $this->changedSince === 0;
    }
}
