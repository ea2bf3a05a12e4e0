<?php

namespace App\Queries\Builds;

use App\Models\Order;
use App\Models\OrderStep;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Builder;
use KeepPace\Core\Planning\Buildable;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\PartThere;

/** A build that a customer line brought with it: how many of it can be built as the line is shipped. */
final readonly class LineBuild
{
    /** @param  BigDecimal  $buildable  now */
    private function __construct(public int $id, public string $number, public BigDecimal $buildable)
    {
    }

    /**
     * @param  list<int>|null  $lines  null = of all
     * @return array<int, self> by customer line; of several, the first that is open
     */
    public static function ofLines(?array $lines = null): array
    {
        $orders = Order::query()
            ->with('item.unit', 'product')
            ->whereIn('state', OrderState::OPEN)
            ->whereNotNull('follows_line_id')
            ->when($lines !== null, fn (Builder $order) => $order->whereIn('follows_line_id', $lines ?? []))
            ->orderByDesc('id')
            ->get();
        $parts = BuildParts::ofOrders(array_values($orders->modelKeys()));
        $out = OrderStep::query()->whereIn('order_id', $orders->modelKeys())->whereNotNull('supplier_id')
            ->pluck('order_id')
            ->all();
        $builds = [];
        foreach ($orders as $order) {
            $builds[(int) $order->follows_line_id] = new self(
                $order->id,
                $order->number,
                in_array($order->id, $out, true)
                    ? BigDecimal::zero() // it is reported step by step
                    : self::buildable($order, $parts[$order->id] ?? []),
            );
        }

        return $builds;
    }

    /** @param  list<BuildPart>  $parts */
    private static function buildable(Order $order, array $parts): BigDecimal
    {
        $all = BigDecimal::of($order->quantity);

        return Buildable::now(
            $order->received(),
            $order->openQuantity(),
            array_map(fn (BuildPart $part): PartThere => $part->there($all), $parts),
            $order->item->unit->decimals,
        );
    }
}
