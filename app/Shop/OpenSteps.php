<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\ComponentNeed;

/** What is left to do of open orders, step by step. */
final class OpenSteps
{
    private const STEP = [
        's.id', 's.order_id', 's.number', 's.work_centre_id', 's.supplier_id', 's.taken_in', 's.good', 's.scrap',
        's.passed_on', 's.started_at', 's.spell_from', 's.planned_minutes', 's.setup_minutes', 's.run_basis',
        's.run_rate', 's.batch', 's.crew', 's.wait_minutes', 's.move_minutes', 's.lead_time_days', 's.transport_days',
        's.transfer_quantity', 's.family_id', 's.setup_crew', 's.may_be_interrupted', 's.qualification',
        's.machine_minutes', 'g.id AS shared_run', 'r.setup_minutes AS shared_setup',
    ];

    /** @var array<int, list<OpenStep>>|string by order; as they were packed, until somebody asks for all of a step */
    private array|string $byOrder = [];

    /** @var array<int, array<int, int>> numbers of the steps that are left, by order and step */
    private array $numbers = [];

    /** @var array<int, true> orders whose first step left is at a supplier, with the pieces */
    private array $outside = [];

    /** @var array<int, true> orders that have steps, open or done */
    private array $have = [];

    /**
     * @param  Collection<int, OpenOrder>  $orders  open ones by id
     * @param  int  $now  UTC minute
     */
    public function __construct(Collection $orders, Deliveries $deliveries, int $now)
    {
        $expected = $left = [];
        $away = Away::all($deliveries);
        $ways = StepWays::ofOrders($orders->keys());
        $steps = DB::table('order_steps AS s')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->leftJoin('shared_runs AS g', fn (JoinClause $join) => $join
                ->on('g.id', 'r.shared_run_id')
                ->on('g.work_centre_id', 's.work_centre_id'))
            ->whereIn('s.order_id', $orders->keys())
            ->orderBy('s.order_id')
            ->orderBy('s.number');
        foreach (
            Row::all($steps->select(self::STEP), fn (Row $row): OpenStep => OpenStep::from($row, $ways)) as $step
        ) {
            $this->have[$step->orderId] = true;
            $order = $orders[$step->orderId];
            $in = $expected[$order->id] ?? BigDecimal::of($order->isReleased ? $step->takenIn : $order->quantity);
            $open = $step->isCounted() ? $in->minus($step->good)->minus($step->scrap) : $in;
            $expected[$order->id] = $step->isCounted() ? $in->minus($step->scrap) : $in;
            if ($open->isPositive()) {
                $back = self::backAt($step, $open, $away[$step->id] ?? [], $deliveries, $now);
                $left[$step->orderId][] = $step->leave($open, $back);
            }
        }
        $this->byOrder = $left;
        $this->index($left);
    }

    /** @param  array<int, list<OpenStep>>  $left */
    private function index(array $left): void
    {
        foreach ($left as $order => $steps) {
            foreach ($steps as $step) {
                $this->numbers[$order][$step->id] = $step->number;
            }
            if ($steps[0]->backAt !== null) {
                $this->outside[$order] = true;
            }
        }
    }

    /**
     * Steps are three quarters of a shop, and who only dates what is missing needs but their numbers.
     *
     * @return array<string, mixed>
     */
    public function __serialize(): array
    {
        return [
            'steps' => is_string($this->byOrder) ? $this->byOrder : gzcompress(serialize($this->byOrder), 1),
            'numbers' => $this->numbers,
            'outside' => $this->outside,
            'have' => $this->have,
        ];
    }

    /**
     * @param  array{
     *     steps: string, numbers: array<int, array<int, int>>, outside: array<int, true>, have: array<int, true>,
     * }  $packed
     */
    public function __unserialize(array $packed): void
    {
        $this->byOrder = $packed['steps'];
        $this->numbers = $packed['numbers'];
        $this->outside = $packed['outside'];
        $this->have = $packed['have'];
    }

    /** @return list<OpenStep> */
    public function of(int $order): array
    {
        if (is_string($this->byOrder)) {
            /** @var array<int, list<OpenStep>> $steps */
            $steps = unserialize((string) gzuncompress($this->byOrder));
            $this->byOrder = $steps;
        }

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
        return array_values($this->numbers[$order] ?? [])[0] ?? null;
    }

    /** The first is at a supplier, with the pieces. */
    public function isOutside(int $order): bool
    {
        return isset($this->outside[$order]);
    }

    /**
     * The step that takes what is needed: its own, or the next that is left.
     *
     * @return int|null its id
     */
    public function takes(ComponentNeed $need): ?int
    {
        $last = null;
        foreach ($this->numbers[$need->order] ?? [] as $step => $number) {
            $last = $step;
            if ($number >= $need->step) {
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
    private static function backAt(
        OpenStep $step,
        BigDecimal $left,
        array $handfuls,
        Deliveries $deliveries,
        int $now,
    ): ?int {
        if ($handfuls === []) {
            return null;
        }
        $away = BigDecimal::sum(...array_map(fn (Handful $one): BigDecimal => $one->away, $handfuls));
        $back = max(array_map(fn (Handful $one): int => $one->back->at, $handfuls));

        return $left->isGreaterThan($away)
            ? max($back, $deliveries->workedFrom($now, $step->supplierId, $step->daysAway))
            : $back;
    }
}
