<?php

namespace App\Shop;

use App\Reading\Row;
use App\Wording\CauseWords;
use App\Wording\Figures;
use App\Wording\WaitsFor;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Expected;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Why\Cause;
use KeepPace\Core\Scheduling\Why\Explanation;
use KeepPace\Core\Scheduling\Why\Stretch;

/** Why an order is finished when it is: each minute from now to its completion, and the sentence that sums it up. */
final class WhyLate
{
    /** @var Collection<int, WhyStep>|null steps by id */
    private ?Collection $steps = null;

    /** @var array<int, list<WaitsFor>>|null by order */
    private ?array $blocks = null;

    private readonly int $planId;

    /** @var array<int, string> */
    private array $numbers;

    private readonly Problem $problem;

    private readonly Schedule $schedule;

    public function __construct(StandingPlan $standing)
    {
        $this->planId = $standing->plan->id;
        $this->problem = $standing->problem();
        $this->schedule = $standing->schedule();
        $planned = DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->where('p.plan_id', $standing->plan->id);
        $this->numbers = Row::textsBy($planned, 'o.number', 'o.id');
    }

    /**
     * @return list<Stretch> in order of time; their minutes add up to completion minus the moment the plan was computed
     */
    public function stretches(int $order): array
    {
        return array_map(self::own(...), Explanation::of($this->problem, $this->schedule, $order));
    }

    /** Putting together an order without steps is done by nobody else, as a step without a work centre would be. */
    private static function own(Stretch $stretch): Stretch
    {
        return $stretch->cause === Cause::Supplier && ShopState::orderWithoutSteps($stretch->step) !== null
            ? new Stretch($stretch->from, $stretch->to, Cause::StepTime, $stretch->step)
            : $stretch;
    }

    /**
     * Stretches as rows. A step that works, pauses at closed time and works on is many of them; together, they are one
     * row for each thing its time goes into, in the order in which these begin.
     *
     * @return list<WhyRow>
     */
    public function rows(int $order, bool $together): array
    {
        $rows = [];
        foreach ($this->stretches($order) as $n => $stretch) {
            $step = $this->step($stretch->step);
            $row = new WhyRow(
                $stretch->from,
                $stretch->to,
                $stretch->minutes(),
                $stretch->cause,
                CauseWords::of(
                    $stretch->cause,
                    $stretch->cause === Cause::Material ? $this->material($step) : $step->where,
                    $this->numbers[$stretch->byJob ?? 0] ?? '',
                ),
                $this->numbers[$step->order] ?? '',
                "{$step->number} {$step->name}",
            );
            $key = $together ? "{$stretch->step}|{$row->says}" : $n;
            $rows[$key] = isset($rows[$key]) ? $rows[$key]->with($row) : $row;
        }

        return array_values($rows);
    }

    /** "Most of it waits 2 days for Turning, busy with 231 and 214; Emberfield has it 5 days." */
    public function sentence(int $order): string
    {
        $causes = $this->causes($order);
        if ($causes === []) {
            return 'Its own steps, one after the other, take it that long.';
        }

        return ucfirst(implode('; ', array_map($this->told(...), array_slice($causes, 0, 2)))).'.';
    }

    /**
     * What it waits for, the longest first.
     *
     * @return list<Waited>
     */
    private function causes(int $order): array
    {
        $causes = [];
        foreach ($this->stretches($order) as $stretch) {
            if ($stretch->cause === Cause::ClosedTime || $stretch->cause === Cause::StepTime) {
                continue;
            }
            $step = $this->step($stretch->step);
            $where = $stretch->cause === Cause::Material ? $this->material($step) : $step->where;
            // a part it needs is named by its order
            $part = $step->order === $order ? '' : $this->numbers[$step->order] ?? '';
            $cause = $causes["{$stretch->cause->name}|{$where}|{$part}"] ??= new Waited($stretch->cause, $where, $part);
            $cause->add($stretch->minutes(), $this->numbers[$stretch->byJob ?? 0] ?? null);
        }
        usort($causes, fn (Waited $one, Waited $other): int => $other->minutes() <=> $one->minutes());

        return $causes;
    }

    private function told(Waited $cause): string
    {
        $by = $cause->by();

        return ($cause->part === '' ? '' : "part {$cause->part}: ")
            .CauseWords::of(
                $cause->cause,
                $cause->where,
                implode(' and ', array_slice($by, 0, 2)).(count($by) > 2 ? ' and others' : ''),
            )
            .' '
            .self::long($cause->minutes());
    }

    /**
     * The work centre its time is lost at, where machines are busy longest, else where it works longest; and from when
     * on.
     *
     * @return array{int, int}|null work centre, UTC minute
     */
    public function bottleneck(int $order): ?array
    {
        $busy = $work = $from = [];
        foreach ($this->stretches($order) as $stretch) {
            $centre = $this->schedule->steps[$stretch->step]->workCentre ?? null;
            $from[$centre ?? 0] ??= $stretch->from;
            if (
                $centre !== null
                && in_array($stretch->cause, [Cause::MachineBusy, Cause::Crew, Cause::Sequence], true)
            ) {
                $busy[$centre] = ($busy[$centre] ?? 0) + $stretch->minutes();
            } elseif ($centre !== null) {
                $work[$centre] = ($work[$centre] ?? 0) + $stretch->minutes();
            }
        }
        arsort($busy);
        arsort($work);

        $centre = array_key_first($busy) ?? array_key_first($work);

        return $centre === null ? null : [$centre, $from[$centre]];
    }

    /** What a step waits for that is bought: the part that comes last, and what its day rests on. */
    private function material(WhyStep $step): string
    {
        $last = null;
        foreach ($this->blocks()[$step->order] ?? [] as $block) {
            // without steps it waits for all of it
            $isHere = $step->number === '' || $block->step <= $step->number;
            $isLater = $last === null || ($block->arrival->at ?? 0) > ($last->arrival->at ?? 0);
            if ($isHere && $isLater && $block->by?->orderId() === null) {
                $last = $block;
            }
        }

        return $last === null ? '' : $last->item.match (true) {
            ! $last->isOrdered() => ', not ordered',
            $last->arrival?->rests === Expected::Overdue => ', overdue',
            default => '',
        };
    }

    /** @return array<int, list<WaitsFor>> by order */
    private function blocks(): array
    {
        if ($this->blocks === null) {
            $this->blocks = [];
            $orders = DB::table('plan_orders')->where('plan_id', $this->planId)->select(['order_id', 'blocks']);
            foreach (Row::all($orders, fn (Row $row): Row => $row) as $row) {
                $this->blocks[$row->int('order_id')] = WaitsFor::all($row->text('blocks'));
            }
        }

        return $this->blocks;
    }

    private static function long(int $minutes): string
    {
        return $minutes < 2880 ? Figures::minutes($minutes) : intdiv($minutes + 720, 1440).' days';
    }

    private function step(int $id): WhyStep
    {
        $this->steps ??= Row::all(
            DB::table('plan_steps AS p')
                ->join('order_steps AS s', 's.id', 'p.order_step_id')
                ->leftJoin('work_centres AS w', 'w.id', 'p.work_centre_id')
                ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
                ->whereIn('s.order_id', array_keys($this->numbers))
                ->select(['s.id', 's.order_id', 's.number', 's.name'])
                ->selectRaw('COALESCE(w.name, v.name, "") AS `where`'),
            WhyStep::from(...),
        )->keyBy(fn (WhyStep $step): int => $step->id);

        return $this->steps[$id] ?? WhyStep::standIn($id, ShopState::orderWithoutSteps($id));
    }
}
