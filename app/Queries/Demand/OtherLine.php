<?php

namespace App\Queries\Demand;

use App\Reading\Row;

/** A line of another customer order that wants more of the same item. */
final readonly class OtherLine
{
    private function __construct(public int $id, public int $itemId, public string $says)
    {
    }

    public static function from(Row $row): self
    {
        $says = "{$row->text('number')}/{$row->int('position')}, {$row->text('customer')}";

        return new self($row->int('id'), $row->int('item_id'), $says);
    }
}
