<?php

namespace App\Actions\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** A lot or serial as it was scanned, and how much of it is free. */
final readonly class ScannedLot
{
    private function __construct(public int $itemId, public string $code, public BigDecimal $quantity)
    {
    }

    public static function from(Row $row): self
    {
        return new self($row->int('item_id'), $row->text('code'), $row->decimal('quantity'));
    }
}
