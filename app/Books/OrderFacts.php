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

    /**
     * @param  BigDecimal  $gives  in all, with what was received
     * @param  list<OrderOutput>  $beside  what comes back of it
     */
    private function __construct(
        public Order $order,
        public OrderOutput $product,
        public OrderState $state,
        private BigDecimal $gives,
        public array $beside,
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
        $beside = self::beside(array_keys(array_filter($rows, fn (array $row): bool => $row[3])));
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
            $facts[$order->id] = new self($order, $product, $state, $gives, $beside[$order->id] ?? []);
        }

        return $facts;
    }

    /** Still to come of it: nothing once it has ended. */
    public function willCome(): BigDecimal
    {
        return $this->state->isOpen() ? $this->gives->minus($this->product->received()) : BigDecimal::zero();
    }

    /**
     * Still to come of what comes back: with all the pieces that will be given, as long as the order is not over; what
     * is built is there, and to be booked.
     */
    public function willComeOf(OrderOutput $output): BigDecimal
    {
        $isOver = $this->state === OrderState::Closed || $this->state === OrderState::Cancelled;
        $pieces = BigDecimal::max($this->gives, $this->product->received());
        $comes = $isOver || $pieces->isZero() ? BigDecimal::zero() : $output->comesWith($pieces);

        return BigDecimal::max(0, $comes->minus($output->received()));
    }

    /**
     * @param  list<int>  $orders
     * @return array<int, list<OrderOutput>> by order
     */
    private static function beside(array $orders): array
    {
        $by = [];
        $outputs = $orders === [] ? [] : OrderOutput::query()
            ->with('item.unit')
            ->whereIn('order_id', $orders)
            ->where('position', '>', OrderOutput::PRODUCT)
            ->orderBy('position')
            ->get();
        foreach ($outputs as $output) {
            $by[$output->order_id][] = $output;
        }

        return $by;
    }

    /**
     * The product of each order, whether anything was used for it, its steps in sequence, and whether anything comes
     * back of it: in one query.
     *
     * @param  list<int>  $ids
     * @return array<int, array{OrderOutput, bool, list<StepFacts>, bool}> by order
     */
    private static function rows(array $ids): array
    {
        $used = DB::table('order_components AS c')
            ->whereColumn('c.order_id', 'o.id')
            ->where('c.used_quantity', '>', 0);
        $back = DB::table('order_outputs AS b')
            ->whereColumn('b.order_id', 'o.id')
            ->where('b.position', '>', OrderOutput::PRODUCT);
        $rows = DB::table('orders AS o')
            ->join('order_outputs AS u', 'u.order_id', 'o.id')
            ->leftJoin('order_steps AS s', 's.order_id', 'o.id')
            ->where('u.position', OrderOutput::PRODUCT)
            ->whereIn('o.id', $ids)
            ->orderBy('o.id')
            ->orderBy('s.number')
            ->select(['o.id AS order_id', 's.number', 's.taken_in', 's.good', 's.scrap', 's.passed_on', 's.started_at'])
            ->addSelect(array_map(fn (string $column): string => "u.{$column} AS output_{$column}", self::PRODUCT))
            ->selectRaw("EXISTS ({$used->selectRaw('1')->toRawSql()}) AS used")
            ->selectRaw("EXISTS ({$back->selectRaw('1')->toRawSql()}) AS has_back");
        $by = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $by[$row->int('order_id')] ??= [self::product($row), $row->flag('used'), [], $row->flag('has_back')];
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
        if ($order->takes_apart) {
            return OrderState::Built; // one deed did all of it
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
