<?php

namespace App\Queries\Demand;

/** Links that hang together: the steps of an order, what is bought, the shipment. */
final readonly class ChainGroup
{
    /**
     * @param  string  $title  "218 Hinge pin"
     * @param  string  $says  behind it
     * @param  list<ChainRow>  $rows
     */
    public function __construct(public string $title, public string $says, public ?string $address, public array $rows)
    {
    }
}
