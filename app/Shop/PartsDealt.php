<?php

namespace App\Shop;

use Illuminate\Support\Collection;
use KeepPace\Core\Planning\Allocated;

/**
 * What there is, dealt out by the orders' standing. What an order waits for stands at least as high as the order
 * itself, for parts and for machines: one put first would else wait for castings dealt out by its gear order's own
 * place. Who waits for whom is known only when it has been dealt out, so it is done until it stays as it is.
 */
final class PartsDealt
{
    /** Dealing out again changes who waits for whom less each time. */
    private const PASSES = 4;

    /** @var Collection<int, OpenOrder> open orders by id, by their standing */
    public Collection $orders;

    /** @var array<int, Allocated> by component id */
    public array $allocated = [];

    /** @var array<int, list<Allocated>> */
    private array $byOrder = [];

    /**
     * @param  Collection<int, OpenOrder>  $orders  open ones by id
     * @param  list<int>  $first  orders that are taken to go before all others
     */
    public function __construct(private readonly PartsGiven $parts, Collection $orders, private readonly array $first)
    {
        $this->orders = $orders;
        $waiting = $parts->madeFor();
        for ($pass = 0; $pass < self::PASSES; $pass++) {
            $was = $this->orders->keys()->all();
            $this->stand($waiting);
            $is = $this->orders->keys()->all();
            if ($pass > 0 && $was === $is) {
                break;
            }
            $this->allocated = $parts->dealt(array_values($is));
            foreach ($this->allocated as $row) {
                foreach ($row->coming as ['supply' => $supply]) {
                    if ($supply->by->orderId() !== null) {
                        $waiting[$supply->by->orderId()][] = $row->need->order;
                    }
                }
            }
        }
        foreach ($this->allocated as $row) {
            $this->byOrder[$row->need->order][] = $row;
        }
    }

    /**
     * What an order still needs, and what of it is given.
     *
     * @return list<Allocated>
     */
    public function of(int $order): array
    {
        return $this->byOrder[$order] ?? [];
    }

    /**
     * Items of which something is needed that nothing is ordered for.
     *
     * @return list<int>
     */
    public function missingItems(): array
    {
        $short = array_filter($this->allocated, fn (Allocated $row): bool => $row->missing->isPositive());

        return array_values(array_unique(array_map(fn (Allocated $row): int => $row->need->item, $short)));
    }

    /**
     * Parts of an order nothing is ordered for.
     *
     * @return list<Allocated>
     */
    public function missing(int $order): array
    {
        return array_values(array_filter(
            $this->of($order),
            fn (Allocated $row): bool => $row->missing->isPositive(),
        ));
    }

    /** It is made for a part of another. */
    public function isMadeForAnother(int $order): bool
    {
        return ($this->parts->madeFor()[$order] ?? []) !== [];
    }

    /**
     * Orders whose output an order waits for.
     *
     * @return list<int>
     */
    public function waitsFor(int $order): array
    {
        $orders = [];
        foreach ($this->of($order) as $row) {
            foreach ($row->coming as ['supply' => $supply]) {
                $orders[] = $supply->by->orderId();
            }
        }

        return array_values(array_unique(array_filter($orders)));
    }

    /**
     * Orders that an order waits for, and those that these wait for: what is needed first comes first.
     *
     * @return list<int>
     */
    public function servants(int $order): array
    {
        $all = [];
        $take = function (int $of) use (&$take, &$all): void {
            foreach ($this->waitsFor($of) as $one) {
                if (! isset($all[$one])) {
                    $all[$one] = false;
                    $take($one);
                    unset($all[$one]);
                    $all[$one] = true;
                }
            }
        };
        $take($order);

        return array_values(array_diff(array_keys($all), [$order]));
    }

    /** @param  array<int, list<int>>  $waiting  who waits for an order, by order */
    private function stand(array $waiting): void
    {
        foreach ($this->orders as $order) {
            $order->standing = Standing::own($order, in_array($order->id, $this->first, true));
        }
        do {
            $moved = false;
            foreach ($this->orders as $order) {
                foreach ($waiting[$order->id] ?? [] as $id) {
                    $parent = $id === $order->id ? null : $this->orders[$id] ?? null;
                    if ($parent !== null && ! $parent->isHeld && $order->standing->isBehind($parent->standing)) {
                        $order->standing = $order->standing->before($parent->standing);
                        $moved = true;
                    }
                }
            }
        } while ($moved);
        $this->orders = $this->orders->sortBy(fn (OpenOrder $order): array => $order->standing->key);
    }
}
