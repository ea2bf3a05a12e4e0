<?php

namespace App\Queries\Stock;

use App\Reading\Row;

/** An item as a list names it. */
final readonly class NamedItem
{
    private function __construct(public int $id, public string $number, public string $name, public string $unit)
    {
    }

    public static function from(Row $row): self
    {
        return new self($row->int('id'), $row->text('number'), $row->text('name'), $row->text('unit'));
    }
}
