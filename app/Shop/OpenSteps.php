<?php

namespace App\Shop;

use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\ComponentNeed;

/**
 * What is left to do of open orders, step by step, with ->left, and ->back_at of what is at a supplier.
 */
final class OpenSteps
{
    private const STEP = [
        'id', 'order_id', 'number', 'work_centre_id', 'supplier_id', 'taken_in', 'good', 'scrap', 'passed_on',
        'started_at', 'spell_from', 'planned_minutes', 'setup_minutes', 'run_basis', 'run_rate', 'batch', 'crew',
        'wait_minutes', 'move_minutes', 'lead_time_days', 'transfer_quantity',
    ];

    /** @var array<int, list<\stdClass>> by order */
    private array $byOrder = [];

    /** @var array<int, array<int, int>> percent of the time by other work centre, by step */
    private readonly array $ways;

    /** @var array<int, true> orders that have steps, open or done */
    private readonly array $have;

    /**
     * @param  Collection<int, \stdClass>  $orders  open ones by id
     * @param  int  $now  UTC minute
     */
    public function __construct(Collection $orders, Deliveries $deliveries, private readonly int $now)
    {
        $expected = [];
        $away = Away::all($deliveries);
        $this->ways = StepWays::ofOrders($orders->keys());
        $steps = DB::table('order_steps')->whereIn('order_id', $orders->keys())->orderBy('order_id')->orderBy('number');
        $rows = $steps->get(self::STEP);
        $this->have = array_fill_keys(array_filter($rows->pluck('order_id')->all(), is_int(...)), true);
        foreach ($rows as $step) {
            $order = $orders[$step->order_id];
            $isReleased = $order->released_at !== null;
            $in = $expected[$order->id] ?? BigDecimal::of($isReleased ? $step->taken_in : $order->quantity);
            $untouched = $step->good === '0.000000' && $step->scrap === '0.000000'; // most are: no arithmetic for them
            $left = $untouched ? $in : $in->minus($step->good)->minus($step->scrap);
            $expected[$order->id] = $untouched ? $in : $in->minus($step->scrap);
            if ($left->isPositive()) {
                $step->left = $left;
                $step->back_at = $this->backAt($step, $away[$step->id] ?? []);
                $this->byOrder[$order->id][] = $step;
            }
        }
    }

    /** @return list<\stdClass> */
    public function of(int $order): array
    {
        return $this->byOrder[$order] ?? [];
    }

    /** @return array<int, int> where else a step can be done: percent of its time by work centre */
    public function ways(mixed $step): array
    {
        return is_int($step) ? $this->ways[$step] ?? [] : [];
    }

    /** The order has none and never had. */
    public function areNone(int $order): bool
    {
        return ! isset($this->have[$order]);
    }

    /** Number of the first. */
    public function first(int $order): ?int
    {
        return isset($this->byOrder[$order]) ? $this->byOrder[$order][0]->number : null;
    }

    /** The first is at a supplier, with the pieces. */
    public function isOutside(int $order): bool
    {
        $step = $this->byOrder[$order][0] ?? null;

        return $step !== null && $step->supplier_id !== null && $step->started_at !== null;
    }

    /**
     * The step that takes what is needed: its own, or the next that is left.
     *
     * @return int|null its id
     */
    public function takes(ComponentNeed $need): ?int
    {
        $last = null;
        foreach ($this->of($need->order) as $step) {
            $last = $step->id;
            if ($step->number >= $need->step) {
                break;
            }
        }

        return $last;
    }

    /**
     * When what is left of a step is back from its supplier; null = nothing is there. What has not gone yet is away for
     * the lead time from now on.
     *
     * @param  list<Handful>  $handfuls
     */
    private function backAt(\stdClass $step, array $handfuls): ?int
    {
        if ($handfuls === []) {
            return null;
        }
        $away = BigDecimal::sum(...array_map(fn (Handful $one): string => $one->away, $handfuls));
        $back = max(array_map(fn (Handful $one): int => $one->back->at, $handfuls));

        return $step->left->isGreaterThan($away)
            ? max($back, $this->now + $step->lead_time_days * 1440)
            : $back;
    }
}
