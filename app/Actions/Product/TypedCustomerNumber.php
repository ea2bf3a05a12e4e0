<?php

namespace App\Actions\Product;

/** What a customer calls an item, as it was typed. */
final readonly class TypedCustomerNumber
{
    public function __construct(public int $customerId, public string $number)
    {
    }
}
