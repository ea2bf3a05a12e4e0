<?php

namespace App\Models;

/**
 * Somebody who orders.
 *
 * @property string $ship_to where goods go; '' = to the address
 * @property int|null $finish_days working days between finished and shipped; null = as the shop has it
 * @property string $price_level by which prices they buy; '' = by those for all
 * @property bool $is_whole_only takes an order in one shipment only
 */
class Customer extends Partner
{
    protected $table = 'customers';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [...parent::casts(), 'is_whole_only' => 'boolean'];
    }
}
