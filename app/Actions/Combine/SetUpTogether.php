<?php

namespace App\Actions\Combine;

use App\Actions\Schedule\Facts;
use App\Actions\Schedule\PlanChanges;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Shop\SharedRuns;
use App\Shop\StandingPlan;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\SetUpOnce;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Steps of firm orders, of different items too, run one behind the other on one set-up: each pays its share of it. The
 * orders stay apart. In the plan they come together where the last of them stands. Undone on the board, or one by one.
 *
 * @phpstan-import-type Fact from Facts
 */
final class SetUpTogether
{
    public function __construct(private readonly PlanChanges $changes, private readonly Facts $facts)
    {
    }

    /**
     * @param  list<int>  $ids  of order steps
     *
     * @throws Refused with all that stands against it
     */
    public function handle(array $ids, Signed $signed): Booking
    {
        return $this->make($signed, self::ordersOf($ids), function (
            Ledger $ledger,
            \ArrayObject $facts,
        ) use ($ids): array {
            $steps = OrderStep::query()->with('order', 'workCentre')->whereKey($ids)->orderBy('id')->get();
            $asked = SharedRuns::asked($steps);
            $against = SetUpOnce::against($asked);
            if ($against !== []) {
                throw new Refused($against);
            }
            $this->share($ledger, $steps, $facts);
            $ledger->says(implode(' ', SetUpOnce::warnings($asked)));

            return array_values($steps->map(fn (OrderStep $step): int => $step->id)->all());
        });
    }

    /**
     * One of them is set up by itself again; the others share what is left, if there are two.
     *
     * @throws Refused when it is set up by itself, or its order is released
     */
    public function takeOut(int $id, Signed $signed): Booking
    {
        $run = DB::table('shared_run_steps')->where('order_step_id', $id)->value('shared_run_id');
        $ids = DB::table('shared_run_steps')->where('shared_run_id', $run)->pluck('order_step_id')->all();

        return $this->make($signed, self::ordersOf([$id, ...$ids]), function (
            Ledger $ledger,
            \ArrayObject $facts,
        ) use ($id): array {
            $run = DB::table('shared_run_steps')->where('order_step_id', $id)->value('shared_run_id');
            $all = OrderStep::query()
                ->with('order', 'workCentre')
                ->whereKey(DB::table('shared_run_steps')->where('shared_run_id', $run)->pluck('order_step_id'))
                ->orderBy('id')
                ->get();
            $out = $all->firstWhere('id', $id) ?? throw StepRefused::setUpAlone();
            $released = $all->first(fn (OrderStep $step): bool => $step->order->released_at !== null);
            if ($released !== null) {
                throw StepRefused::sharesStay($released->order->number);
            }
            $this->dissolve($ledger, $all, (int) $run, $facts);
            $left = $all->except([$id])->filter(fn (OrderStep $step): bool => $step->order->state->isFirm())->values();
            $ledger->says("{$out->label()} of order {$out->order->number} is set up by itself.");
            $left->count() > 1 && $this->share($ledger, $left, $facts);

            return [];
        });
    }

    /**
     * @param  list<int>  $orders
     * @param  \Closure(Ledger, \ArrayObject<int, Fact>): list<int>  $work  gives the steps that come
     *     together
     */
    private function make(Signed $signed, array $orders, \Closure $work): Booking
    {
        return $this->changes->make(
            BookingKind::SetUpOnce,
            Plan::LIVE,
            null,
            $signed,
            function (Ledger $ledger, StandingPlan $standing, \ArrayObject $facts) use ($work): \Closure {
                $together = $work($ledger, $facts);
                $was = $standing->steps();

                return static fn (Problem $problem): Schedule => KeptSequence::together($problem, $was, $together);
            },
            $orders,
        );
    }

    /**
     * @param  Collection<int, OrderStep>  $steps
     * @param  \ArrayObject<int, Fact>  $facts
     */
    private function share(Ledger $ledger, Collection $steps, \ArrayObject $facts): void
    {
        $asked = SharedRuns::asked($steps);
        if ($asked === []) {
            throw new \LogicException('Nothing is set up.');
        }
        $minutes = SetUpOnce::setup($asked);
        $shares = SetUpOnce::shares($asked);
        $run = (int) DB::table('shared_runs')->max('id') + 1; // the live plan is locked
        $row = ['id' => $run, 'work_centre_id' => $steps[0]->work_centre_id, 'setup_minutes' => $minutes];
        $new = [['table' => 'shared_runs', 'row' => $row]];
        $said = [];
        foreach ($steps as $at => $step) {
            $of = ['order_step_id' => $step->id, 'shared_run_id' => $run, 'setup_minutes' => $shares[$at]];
            $new[] = ['table' => 'shared_run_steps', 'row' => $of];
            $new[] = self::planned($step, $asked[$at]->run + $shares[$at]);
            $said[] = "order {$step->order->number} {$shares[$at]}";
            $own = "{$asked[$at]->setup} min alone";
            $ledger->change($step->order, "step {$step->number}, set-up", $own, "{$shares[$at]} of {$minutes} min");
        }
        $this->book($facts, $new);
        $ledger->concerns($steps[0]->order);
        $ledger->says("Set up once at {$steps[0]->workCentre?->name}, {$minutes} min: ".implode(', ', $said).'.');
    }

    /**
     * @param  Collection<int, OrderStep>  $steps  all of the run
     * @param  \ArrayObject<int, Fact>  $facts
     */
    private function dissolve(Ledger $ledger, Collection $steps, int $run, \ArrayObject $facts): void
    {
        $shares = DB::table('shared_run_steps')->where('shared_run_id', $run)->pluck('setup_minutes', 'order_step_id');
        $old = [];
        foreach ($steps as $step) {
            $share = (int) $shares[$step->id];
            $of = ['order_step_id' => $step->id, 'shared_run_id' => $run, 'setup_minutes' => $share];
            $old[] = ['table' => 'shared_run_steps', 'gone' => $of];
            $old[] = self::planned($step, $step->timeAlone()->minutes(BigDecimal::of($step->order->quantity)));
            $ledger->change($step->order, "step {$step->number}, set-up", "{$share} min shared", 'alone');
        }
        $row = DB::table('shared_runs')->find($run, ['id', 'work_centre_id', 'setup_minutes']);
        $old[] = ['table' => 'shared_runs', 'gone' => (array) $row];
        $this->book($facts, $old);
        $ledger->concerns($steps[0]->order);
    }

    /** @return Fact */
    private static function planned(OrderStep $step, int $minutes): array
    {
        $was = $step->planned_minutes;
        $step->planned_minutes = $minutes;

        return [
            'table' => 'order_steps',
            'id' => $step->id,
            'column' => 'planned_minutes',
            'before' => $was,
            'after' => $minutes,
        ];
    }

    /**
     * @param  \ArrayObject<int, Fact>  $facts
     * @param  list<Fact>  $new
     */
    private function book(\ArrayObject $facts, array $new): void
    {
        $this->facts->doAgain($new);
        foreach ($new as $fact) {
            $facts[] = $fact;
        }
    }

    /**
     * @param  array<int>  $steps
     * @return list<int>
     */
    private static function ordersOf(array $steps): array
    {
        return array_values(OrderStep::query()->whereKey($steps)->distinct()->pluck('order_id')->all());
    }
}
