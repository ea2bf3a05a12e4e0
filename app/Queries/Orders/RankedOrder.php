<?php

namespace App\Queries\Orders;

use Illuminate\Support\Collection;

/** An order at its place in the rank, and where one touch would put it. */
final readonly class RankedOrder
{
    /**
     * @param  int  $place  from 1
     * @param  list<RankMove>  $moves
     */
    private function __construct(public ListedOrder $order, public int $place, public array $moves)
    {
    }

    /** @return list<self>  all open orders by rank */
    public static function all(): array
    {
        $orders = OrderList::ranked();
        $ranked = [];
        foreach ($orders as $i => $order) {
            $ranked[] = new self($order, $i + 1, self::moves($orders, $i));
        }

        return $ranked;
    }

    /**
     * @param  Collection<int, ListedOrder>  $orders
     * @return list<RankMove>
     */
    private static function moves(Collection $orders, int $at): array
    {
        $isFirst = $at === 0;
        $isLast = $at === $orders->count() - 1;

        return [
            new RankMove('▲', 'one up', $isFirst ? null : $orders[$at - 1]->id),
            new RankMove('▼', 'one down', $isLast ? null : ($orders[$at + 2]->id ?? 0)),
            new RankMove('⤒', 'to the top', $isFirst ? null : $orders[0]->id),
        ];
    }
}
