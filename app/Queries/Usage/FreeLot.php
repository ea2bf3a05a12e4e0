<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** Stock of an item that is free at one place, of one lot where it is tracked. */
final readonly class FreeLot
{
    private function __construct(
        public int $itemId,
        public bool $isCustomersOwn,
        public BigDecimal $quantity,
        public ?string $code,
        private ?string $expiresOn,
        private string $place,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('item_id'),
            $row->int('owner_id') !== 0,
            $row->decimal('quantity'),
            $row->textOrNull('code'),
            $row->textOrNull('expires_on'),
            $row->text('place'),
        );
    }

    /** "at Rack, until 2027-01-31" */
    public function where(): string
    {
        return "at {$this->place}".($this->expiresOn === null ? '' : ", until {$this->expiresOn}");
    }
}
