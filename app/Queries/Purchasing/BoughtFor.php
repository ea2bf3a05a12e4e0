<?php

namespace App\Queries\Purchasing;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A customer line, or an order, that gets some of a purchase line when it comes. */
final readonly class BoughtFor
{
    private function __construct(
        public int $lineId,
        public BigDecimal $quantity,
        public string $says,
        public string $address,
    ) {
    }

    /**
     * @param  int  $order  purchase order
     * @return Collection<int, Collection<int, self>> by purchase line
     */
    public static function of(int $order): Collection
    {
        $ties = DB::table('ties AS t')
            ->join('purchase_lines AS buy', 'buy.id', 't.purchase_line_id')
            ->leftJoin('customer_order_lines AS l', 'l.id', 't.line_id')
            ->leftJoin('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->leftJoin('order_components AS want', 'want.id', 't.component_id')
            ->leftJoin('orders AS o', 'o.id', 'want.order_id')
            ->where('buy.purchase_order_id', $order)
            ->where('t.quantity', '>', 0)
            ->orderBy('t.id')
            ->select(['buy.id', 't.quantity', 'l.customer_order_id', 'l.position', 'co.number AS customer_order'])
            ->addSelect(['o.id AS order_id', 'o.number AS order_number']);

        return Row::all($ties, self::from(...))->groupBy('lineId');
    }

    private static function from(Row $row): self
    {
        $order = $row->intOrNull('order_id');

        return new self(
            $row->int('id'),
            $row->decimal('quantity'),
            $order === null
                ? "{$row->text('customer_order')}/{$row->int('position')}"
                : "order {$row->text('order_number')}",
            $order === null
                ? route('customer-orders.show', $row->int('customer_order_id'))
                : route('orders.show', $order),
        );
    }
}
