<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\ComponentNeed;

/** What is left to do of open orders, step by step. */
final class OpenSteps
{
    private const STEP = [
        'id', 'order_id', 'number', 'work_centre_id', 'supplier_id', 'taken_in', 'good', 'scrap', 'passed_on',
        'started_at', 'spell_from', 'planned_minutes', 'setup_minutes', 'run_basis', 'run_rate', 'batch', 'crew',
        'wait_minutes', 'move_minutes', 'lead_time_days', 'transport_days', 'transfer_quantity', 'family_id',
        'setup_crew',
        'may_be_interrupted', 'qualification', 'machine_minutes',
    ];

    /** @var array<int, list<OpenStep>> by order */
    private array $byOrder = [];

    /** @var array<int, true> orders that have steps, open or done */
    private readonly array $have;

    /**
     * @param  Collection<int, OpenOrder>  $orders  open ones by id
     * @param  int  $now  UTC minute
     */
    public function __construct(
        Collection $orders,
        private readonly Deliveries $deliveries,
        private readonly int $now,
    ) {
        $expected = [];
        $away = Away::all($deliveries);
        $ways = StepWays::ofOrders($orders->keys());
        $steps = DB::table('order_steps')->whereIn('order_id', $orders->keys())->orderBy('order_id')->orderBy('number');
        $have = [];
        foreach (
            Row::all($steps->select(self::STEP), fn (Row $row): OpenStep => OpenStep::from($row, $ways)) as $step
        ) {
            $have[$step->orderId] = true;
            $order = $orders[$step->orderId];
            $in = $expected[$order->id] ?? BigDecimal::of($order->isReleased ? $step->takenIn : $order->quantity);
            $left = $step->isCounted() ? $in->minus($step->good)->minus($step->scrap) : $in;
            $expected[$order->id] = $step->isCounted() ? $in->minus($step->scrap) : $in;
            if ($left->isPositive()) {
                $back = $this->backAt($step, $left, $away[$step->id] ?? []);
                $this->byOrder[$step->orderId][] = $step->leave($left, $back);
            }
        }
        $this->have = $have;
    }

    /** @return list<OpenStep> */
    public function of(int $order): array
    {
        return $this->byOrder[$order] ?? [];
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

        return $step !== null && $step->backAt !== null;
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
    private function backAt(OpenStep $step, BigDecimal $left, array $handfuls): ?int
    {
        if ($handfuls === []) {
            return null;
        }
        $away = BigDecimal::sum(...array_map(fn (Handful $one): BigDecimal => $one->away, $handfuls));
        $back = max(array_map(fn (Handful $one): int => $one->back->at, $handfuls));

        return $left->isGreaterThan($away)
            ? max($back, $this->deliveries->workedFrom($this->now, $step->supplierId, $step->daysAway))
            : $back;
    }
}
