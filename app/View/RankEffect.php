<?php

namespace App\View;

use App\Models\Order;
use Illuminate\Database\Eloquent\Collection;

/** What it would do to put an order elsewhere in the rank. */
final readonly class RankEffect
{
    /**
     * @param  Order|null  $before  null = last of all
     * @param  list<array{says: string, tone: string}>  $says
     * @param  Collection<int, Order>  $servants  orders for the shelf that are allotted to it and go with it
     */
    public function __construct(
        public Order $order,
        public ?Order $before,
        public array $says,
        public Collection $servants,
    ) {
    }

    /** "218 before 220 would mean" */
    public function title(): string
    {
        $where = $this->before === null ? 'last of all' : "before {$this->before->number}";

        return "{$this->order->number} {$where} would mean";
    }

    /** "put them before 218 in the list too" */
    public function withThemSays(): string
    {
        $them = $this->servants->count() === 1 ? 'it' : 'them';

        return "put {$them} before {$this->order->number} in the list too";
    }

    /** As it is sent: "12-7" is order 12 before order 7. */
    public function move(): string
    {
        return "{$this->order->id}-".($this->before->id ?? 0);
    }
}
