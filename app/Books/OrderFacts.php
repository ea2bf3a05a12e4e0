<?php

namespace App\Books;

use App\Models\Order;
use App\Models\OrderOutput;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** The state of an order and what it will give, derived from what has been booked on it. */
final readonly class OrderFacts
{
    /** Columns of its output. */
    private const PRODUCT = [
        'id',
        'order_id',
        'planned_quantity',
        'received_quantity',
        'given_up_quantity',
        'received_value',
    ];

    /** @param  BigDecimal  $gives  in all, with what was received */
    private function __construct(
        public Order $order,
        public OrderOutput $product,
        public OrderState $state,
        private BigDecimal $gives,
    ) {
    }

    /**
     * @param  list<Order>  $orders
     * @return array<int, self> by order
     */
    public static function of(array $orders): array
    {
        $ids = array_map(fn (Order $order): int => $order->id, $orders);
        $rows = $ids === [] ? [] : self::rows($ids);
        $facts = [];
        foreach ($orders as $order) {
            [$product, $worked, $steps] = $rows[$order->id];
            $state = self::state($order, $product->received(), $worked, $steps);
            $gives = Order::given(
                $state,
                $order->released_at !== null,
                BigDecimal::of($order->quantity),
                $product->received(),
                array_map(fn (StepFacts $step): BigDecimal => $step->alive(), $steps),
            );
            $facts[$order->id] = new self($order, $product, $state, $gives);
        }

        return $facts;
    }

    /** Still to come of it: nothing once it has ended. */
    public function willCome(): BigDecimal
    {
        return $this->state->isOpen() ? $this->gives->minus($this->product->received()) : BigDecimal::zero();
    }

    /**
     * The product of each order, whether anything was used for it, and its steps in sequence: in one query.
     *
     * @param  list<int>  $ids
     * @return array<int, array{OrderOutput, bool, list<StepFacts>}> by order
     */
    private static function rows(array $ids): array
    {
        $used = DB::table('order_components AS c')
            ->whereColumn('c.order_id', 'o.id')
            ->where('c.used_quantity', '>', 0);
        $rows = DB::table('orders AS o')
            ->join('order_outputs AS u', 'u.order_id', 'o.id')
            ->leftJoin('order_steps AS s', 's.order_id', 'o.id')
            ->where('u.position', OrderOutput::PRODUCT)
            ->whereIn('o.id', $ids)
            ->orderBy('o.id')
            ->orderBy('s.number')
            ->select(['o.id AS order_id', 's.number', 's.taken_in', 's.good', 's.scrap', 's.passed_on', 's.started_at'])
            ->addSelect(array_map(fn (string $column): string => "u.{$column} AS output_{$column}", self::PRODUCT))
            ->selectRaw("EXISTS ({$used->selectRaw('1')->toRawSql()}) AS used");
        $by = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $by[$row->int('order_id')] ??= [self::product($row), $row->flag('used'), []];
            if ($row->intOrNull('number') !== null) {
                $by[$row->int('order_id')][2][] = StepFacts::from($row);
            }
        }

        return $by;
    }

    private static function product(Row $row): OrderOutput
    {
        $columns = [
            'id' => $row->int('output_id'),
            'order_id' => $row->int('order_id'),
            'received_value' => $row->int('output_received_value'),
        ];
        foreach (['planned_quantity', 'received_quantity', 'given_up_quantity'] as $quantity) {
            $columns[$quantity] = (string) $row->decimal("output_{$quantity}");
        }

        return (new OrderOutput)->newFromBuilder($columns);
    }

    /** @param  list<StepFacts>  $steps */
    private static function state(Order $order, BigDecimal $out, bool $worked, array $steps): OrderState
    {
        if ($order->state === OrderState::Cancelled || $order->state === OrderState::Proposed) {
            return $order->state;
        }
        if ($order->closed_at !== null) {
            return OrderState::Closed;
        }
        if ($order->released_at === null) {
            return OrderState::Firm;
        }
        $started = $steps === [] ? BigDecimal::of($order->quantity) : $steps[0]->takenIn;
        $worked = $worked || $out->isPositive();
        foreach ($steps as $step) {
            $out = $out->plus($step->scrap);
            $worked = $worked || $step->isWorked();
        }

        return OrderState::derived($worked, $started, $out);
    }
}
