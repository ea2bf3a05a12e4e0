<?php

namespace App\Shop;

use App\Models\Plan;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * A plan as it stands: its steps, its pins, and the problem it was computed from, so that what is asked of it is
 * answered on equal terms.
 *
 * @phpstan-type WrittenStep object{id: int, order_step_id: int, machine: int|null, work_centre_id: int|null,
 *     start: int, run: int|null, end: int}
 */
final class StandingPlan
{
    /** Open time is looked up this far first; the far end costs time and is seldom needed. */
    private const NEAR_DAYS = 45;

    /** @var array<int, PlannedStep>|null */
    private ?array $steps = null;

    /** @var array<int, int> */
    private array $rows = [];

    private ?Problem $problem = null;

    private ?KeptInput $kept = null;

    private function __construct(public readonly Plan $plan)
    {
    }

    public static function of(int $plan = Plan::LIVE): self
    {
        return new self(Plan::query()->findOrFail($plan));
    }

    /** As it was when the plan was last computed. */
    public function problem(): Problem
    {
        return $this->problem ??= $this->kept()->problem ?? $this->problemNow($this->shop(), self::NEAR_DAYS);
    }

    /** What the plan was computed from, if that is still known. */
    public function kept(): ?KeptInput
    {
        if ($this->kept === null) {
            $query = DB::table('plan_inputs')->where('plan_id', $this->plan->id)->select(['packed', 'facts']);
            $row = Row::first($query, fn (Row $row): Row => $row);
            $this->kept = $row === null ? null : KeptInput::unpack($row->text('packed'), $row->text('facts'));
        }

        return $this->kept;
    }

    /** @return list<PlanLever>  what it takes to be so */
    private function levers(): array
    {
        return PlanLever::ofPlan($this->plan);
    }

    /** The shop as it is now, for what the plan's levers, and who asks, take to be otherwise. */
    public function shop(): ShopState
    {
        $first = array_filter(
            $this->levers(),
            static fn (PlanLever $lever): bool => $lever->kind === LeverKind::Rank,
        );

        return ShopState::now(array_column($first, 'order'));
    }

    /** As the facts would be if an order went before all others. */
    public function problemIfFirst(int $order): Problem
    {
        return $this->problemNow(ShopState::now([$order]), self::NEAR_DAYS);
    }

    /**
     * As the facts are now.
     *
     * @param  int  $days  how far ahead open time is looked up
     */
    public function problemNow(ShopState $shop, int $days): Problem
    {
        $problem = $shop->problem($days, pins: $this->pins());
        foreach ($this->levers() as $lever) {
            $problem = $lever->on($problem);
        }

        return $problem;
    }

    /** As the facts of a shop are, as far ahead as is looked at first. */
    public function near(ShopState $shop): Problem
    {
        return $this->problemNow($shop, self::NEAR_DAYS);
    }

    /**
     * Loads the facts as they are now: near open time first, all of it when something finds no place.
     *
     * @param  callable(Problem): Schedule  $load
     * @return array{Problem, Schedule}
     */
    public function loadNow(ShopState $shop, callable $load): array
    {
        $problem = $this->problemNow($shop, self::NEAR_DAYS);
        $schedule = $load($problem);
        if ($schedule->unplaced !== []) {
            $problem = $this->problemNow($shop, config()->integer('pace.horizon_days'));
            $schedule = $load($problem);
        }

        return [$problem, $schedule];
    }

    /**
     * Loads a problem in the sequences these steps stand in.
     *
     * @param  array<int, PlannedStep>  $steps
     * @return \Closure(Problem): Schedule
     */
    public static function keeping(array $steps): \Closure
    {
        return static fn (Problem $problem): Schedule => KeptSequence::load($problem, $steps);
    }

    /** @return array<int, PlannedStep> by step id, what is held for promises among them */
    public function steps(): array
    {
        return $this->steps ??= $this->read();
    }

    /** @return array<int, int> rows of its steps, by step id */
    public function rows(): array
    {
        $this->steps();

        return $this->rows;
    }

    /** @return array<int, PlannedStep> by step id */
    private function read(): array
    {
        $planned = DB::table('plan_steps')
            ->where('plan_id', $this->plan->id)
            ->select(['id', 'order_step_id', 'machine', 'work_centre_id'])
            ->selectRaw(ShopState::minuteOf('start_at').' AS start')
            ->selectRaw(ShopState::minuteOf('run_at').' AS run')
            ->selectRaw(ShopState::minuteOf('end_at').' AS end');
        $steps = [];
        foreach ($planned->get() as $row) {
            /** @var WrittenStep $row thousands of them */
            $this->rows[$row->order_step_id] = $row->id;
            $steps[$row->order_step_id] = new PlannedStep(
                $row->start,
                $row->end,
                $row->machine,
                $row->work_centre_id,
                $row->run,
                $row->run,
            );
        }

        return $steps + HeldPromises::planned();
    }

    /** @return array<int, int> finish by order id, UTC minutes */
    public function finishes(): array
    {
        $finishes = DB::table('plan_orders')
            ->where('plan_id', $this->plan->id)
            ->whereNotNull('finish_at')
            ->selectRaw('order_id, '.ShopState::minuteOf('finish_at').' AS finish');

        return Row::intsBy($finishes, 'finish', 'order_id');
    }

    /** As it is written, or, when it is no longer known from what it was computed, as it is now. */
    public function schedule(): Schedule
    {
        return $this->kept() === null
            ? KeptSequence::load($this->problem(), $this->steps())
            : $this->written($this->finishes());
    }

    /** @param  array<int, int>  $finish  by order */
    private function written(array $finish): Schedule
    {
        $steps = $this->steps();
        foreach ($this->problem()->jobs as $job) {
            $only = $job->steps[0]->id ?? 0;
            $end = $finish[$job->id] ?? null;
            // what stands for an order without steps is not written: it ends with the order
            if ($end !== null && ShopState::orderWithoutSteps($only) !== null) {
                $steps[$only] = new PlannedStep($end - 1, $end, null, null);
            }
        }

        return new Schedule($steps, $finish, []);
    }

    /** @return array<int, array{int, Pin}> by step id: work centre, and where on it */
    public function pins(): array
    {
        $rows = DB::table('plan_pins')
            ->where('plan_id', $this->plan->id)
            ->select(['order_step_id', 'work_centre_id', 'machine'])
            ->selectRaw(ShopState::minuteOf('start_at').' AS start');
        $pins = [];
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $pin = new Pin($row->int('start'), $row->int('machine'));
            $pins[$row->int('order_step_id')] = [$row->int('work_centre_id'), $pin];
        }

        return $pins;
    }
}
