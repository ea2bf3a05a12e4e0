<?php

namespace App\Queries\Demand;

use App\Reading\Row;
use App\Wording\Figures;

/** A lot from which a customer line can be shipped. */
final readonly class ShipLot
{
    private function __construct(public int $id, public int $itemId, public string $says)
    {
    }

    public static function from(Row $row): self
    {
        $amount = Figures::amount($row->text('quantity'));

        return new self($row->int('id'), $row->int('item_id'), "{$row->text('code')} ({$amount})");
    }
}
