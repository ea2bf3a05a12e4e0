<?php

namespace App\Queries\Orders;

use App\Models\Supplier;
use App\Models\Unit;

/** What can be chosen where something is bought by words for an order. */
final readonly class BuyForm
{
    /**
     * @param  array<array-key, mixed>  $suppliers  names by id
     * @param  array<array-key, mixed>  $units  codes by id
     */
    private function __construct(public array $suppliers, public array $units)
    {
    }

    public static function now(): self
    {
        return new self(
            Supplier::offered()->all(),
            Unit::query()->orderBy('id')->pluck('code', 'id')->all(),
        );
    }
}
