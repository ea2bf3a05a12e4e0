<?php

namespace App\Shop;

use App\Models\Order;
use App\Models\OrderStep;
use App\Models\SupplierItem;
use App\Models\WorkCentre;
use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\StepCost;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * Where else a step of a late order that has not begun could be done: on another work centre, by a supplier who does
 * its service, or here though a supplier was to do it. What each costs is said beside it.
 */
final class StepLevers
{
    /** Each is searched, which takes a part of a second. */
    private const MOST = 6;

    /** @param  Collection<int, OrderStep>  $steps  of the order, by id */
    private function __construct(
        private readonly Problem $problem,
        private readonly Order $order,
        private readonly Collection $steps,
        private readonly Services $services,
    ) {
    }

    public static function of(Problem $problem, Order $order): self
    {
        $steps = $order->steps()->with('workCentre', 'supplier')->get()->keyBy('id');

        return new self(
            $problem,
            $order,
            $steps->toBase(),
            Services::of($steps->map(fn (OrderStep $step): ?int => $step->service_item_id)->values()->all()),
        );
    }

    /**
     * @param  int|null  $narrow  work centre where most time is lost
     * @return list<PlanLever>
     */
    public function all(Job $job, ?int $narrow): array
    {
        $levers = [];
        foreach ($job->steps as $step) {
            $own = $this->steps[$step->id] ?? null;
            if (! $step->started && $own !== null) {
                array_push(
                    $levers,
                    ...$this->elsewhere($step),
                    ...$own->isOutside() ? $this->here($own) : $this->sentOut($own, $step->workCentre === $narrow),
                );
            }
        }

        return array_slice($levers, 0, self::MOST);
    }

    /** @return list<PlanLever> on another work centre of ours */
    private function elsewhere(Step $step): array
    {
        return array_map(fn (Alternative $other): PlanLever => new PlanLever(
            LeverKind::Other,
            StepName::of($step->id)->label.' on '.$this->problem->workCentres[$other->workCentre]->name,
            centre: $other->workCentre,
            step: $step->id,
        ), $step->alternatives);
    }

    /** @return list<PlanLever> by suppliers who do its service; by somebody, where it names none and time is lost */
    private function sentOut(OrderStep $step, bool $isNarrow): array
    {
        if (! $step->pieces()->isUncounted()) {
            return [];
        }
        $says = StepName::of($step->id)->label;
        if ($step->service_item_id === null) {
            $days = $isNarrow ? self::usualDays() : 0;

            $says .= ' at a supplier, back after '.Figures::count($days, 'day');

            return $days === 0 ? [] : [new PlanLever(LeverKind::SendOut, $says, step: $step->id, days: $days)];
        }
        $levers = [];
        foreach ($this->services->who($step->service_item_id) as $terms) {
            $levers[] = $this->by($terms, $step, $says);
        }

        return $levers;
    }

    private function by(SupplierItem $terms, OrderStep $step, string $says): PlanLever
    {
        $pieces = BigDecimal::of($this->order->quantity);
        $charge = (int) $terms->service()?->chargeFor($pieces)->of($pieces);
        $days = $terms->daysAway() === 0 ? self::usualDays() : $terms->daysAway();

        return new PlanLever(
            LeverKind::SendOut,
            "{$says} at {$terms->supplier->name}, ".Figures::count($days, 'day').' away',
            step: $step->id,
            days: $days,
            supplier: $terms->supplier_id,
            costs: Figures::money($charge).' € there, '.Figures::money($this->costHere($step)).' € here',
            deed: new LeverDeed('Have it done there', 'purchase', 'put', 'step-suppliers.update', $step->id, [
                'version' => $this->order->version,
                'supplier' => $terms->supplier_id,
                'reason' => 'late',
            ]),
        );
    }

    /** @return list<PlanLever> where it could be done here and nothing of it is with the supplier */
    private function here(OrderStep $step): array
    {
        if (BigDecimal::of($step->run_rate)->isZero() || Away::pieces($step->id)->isPositive()) {
            return [];
        }
        $levers = [];
        foreach (self::ways($step) as $centre => $percent) {
            $levers[] = $this->at(WorkCentre::query()->findOrFail($centre), $percent, $step);
        }

        return $levers;
    }

    private function at(WorkCentre $centre, int $percent, OrderStep $step): PlanLever
    {
        $rate = BigDecimal::of($step->run_rate)->multipliedBy($percent)->dividedBy(100, 4, RoundingMode::HALF_UP);
        $done = $step->replicate()->fill(['run_rate' => (string) $rate, ...$centre->only(OrderStep::RATES)]);
        $pieces = BigDecimal::of($this->order->quantity);
        $setup = BigDecimal::of($step->setup_minutes)->toScale(0, RoundingMode::CEILING)->toInt();
        $run = max(1, $done->time()->minutes($pieces) - $setup);

        return new PlanLever(
            LeverKind::BringIn,
            StepName::of($step->id)->label." here, at {$centre->name}, not by {$step->supplier?->name}",
            centre: $centre->id,
            step: $step->id,
            here: new DoneHere($setup, $run, $step->setup_crew, $step->crew),
            costs: Figures::money($this->costOf($done)).' € here, '
                .Figures::money($step->charge()->of($pieces)).' € there',
            deed: new LeverDeed('Do it here', 'change-order', 'put', 'step-places.update', $step->id, [
                'version' => $this->order->version,
                'work_centre_id' => $centre->id,
                'setup_minutes' => (string) $step->setup_minutes,
                'run_rate' => (string) $rate,
                'reason' => 'late',
            ]),
        );
    }

    /** Cents, at the rates of its release, before that of today. */
    private function costHere(OrderStep $step): int
    {
        return $this->costOf(
            $step->labour_rate === null && $step->workCentre !== null
                ? $step->replicate()->fill($step->workCentre->only(OrderStep::RATES))
                : $step,
        );
    }

    private function costOf(OrderStep $step): int
    {
        return StepCost::here($step->time(), $step->crew, $step->rates())
            ->of(BigDecimal::of($this->order->quantity))
            ->total()
            ->toScale(0, RoundingMode::HALF_UP)
            ->toInt();
    }

    /** @return array<int, int> percent of its time, by work centre of ours that could do what a supplier is to do */
    private static function ways(OrderStep $step): array
    {
        $ways = [];
        $rows = DB::table('order_step_ways')->where('order_step_id', $step->id)->orderBy('id');
        foreach (Row::all($rows->select(['work_centre_id', 'percent']), fn (Row $row): Row => $row) as $row) {
            $ways[$row->int('work_centre_id')] = $row->int('percent');
        }

        return $ways;
    }

    /** Days a step outside takes in the middle; 0 = none is done outside. */
    private static function usualDays(): int
    {
        $away = DB::raw('lead_time_days + transport_days');
        $days = DB::table('routing_steps')->whereNotNull('supplier_id')->avg($away);

        return is_numeric($days) ? BigDecimal::of($days)->toScale(0, RoundingMode::HALF_UP)->toInt() : 0;
    }
}
