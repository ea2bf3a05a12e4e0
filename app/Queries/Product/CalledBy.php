<?php

namespace App\Queries\Product;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a customer calls an item. */
final readonly class CalledBy
{
    private function __construct(public int $customerId, public string $customer, public string $number)
    {
    }

    /** @return Collection<int, self> */
    public static function of(int $item): Collection
    {
        return Row::all(
            DB::table('customer_items AS n')
                ->join('customers AS c', 'c.id', 'n.customer_id')
                ->where('n.item_id', $item)
                ->orderBy('c.name')
                ->orderBy('n.id')
                ->select(['n.customer_id', 'c.name AS customer', 'n.number']),
            fn (Row $row): self => new self($row->int('customer_id'), $row->text('customer'), $row->text('number')),
        );
    }

    /** "40-1109 by Orchard Row Supplies" */
    public function says(): string
    {
        return "{$this->number} by {$this->customer}";
    }
}
