<?php

namespace App\Actions\Orders;

/** So much of what comes back of an order, as it was typed. */
final readonly class TypedOutput
{
    /**
     * @param  string  $quantity  '' = as many as serials are named, or as much as goes with the pieces
     * @param  string  $codes  lot, or serials one a line
     */
    public function __construct(public string $quantity = '', public string $codes = '')
    {
    }
}
