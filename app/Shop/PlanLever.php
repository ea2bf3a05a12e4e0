<?php

namespace App\Shop;

use App\Models\Plan;
use App\Reading\Row;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Problem;

/**
 * One lever of a what-if: what is taken to be otherwise than the facts say, what that costs, and the deed that makes
 * it so. Of what it is about, each kind has its own; the rest stays empty.
 */
final readonly class PlanLever
{
    /** Days ahead a supplier's calendar is looked up. */
    private const LEAD = 400;

    /**
     * @param  string  $says  as it is offered
     * @param  list<array{string, string, string}>  $spans  overtime: day, from and until, in the plant's time
     * @param  int  $days  a step is away
     * @param  int  $supplier  it is away at; 0 = nobody knows yet
     * @param  array<int, array{int, list<int>}>  $steps  earliest minute and orders waited for, of steps whose material
     *     comes otherwise
     * @param  string  $costs  against what it would cost; '' = nothing is known
     */
    public function __construct(
        public LeverKind $kind,
        public string $says,
        public int $order = 0,
        public int $centre = 0,
        public int $step = 0,
        public array $spans = [],
        public int $days = 0,
        public int $supplier = 0,
        public ?DoneHere $here = null,
        public array $steps = [],
        public string $costs = '',
        public ?LeverDeed $deed = null,
    ) {
    }

    /** @return list<self>  what a plan takes to be so */
    public static function ofPlan(Plan $plan): array
    {
        return Row::each($plan->levers ?? '[]', self::from(...));
    }

    public static function from(Row $kept): self
    {
        /** @var list<array{string, string, string}> $spans */
        $spans = $kept->list('spans');
        /** @var array<int, array{int, list<int>}> $steps */
        $steps = $kept->list('steps');
        $deed = $kept->part('deed');

        return new self(
            $kept->enum('kind', LeverKind::class),
            $kept->text('says'),
            $kept->intOr('order', 0),
            $kept->intOr('centre', 0),
            $kept->intOr('step', 0),
            $spans,
            $kept->intOr('days', 0),
            $kept->intOr('supplier', 0),
            $kept->has('setup') ? DoneHere::from($kept) : null,
            $steps,
            $kept->textOr('costs', ''),
            $deed === null ? null : LeverDeed::from($deed),
        );
    }

    /** @return array<string, mixed>  as it is kept beside its plan */
    public function kept(): array
    {
        $about = [
            'order' => $this->order,
            'centre' => $this->centre,
            'step' => $this->step,
            'spans' => $this->spans,
            'days' => $this->days,
            'supplier' => $this->supplier,
            'steps' => $this->steps === [] ? [] : (object) $this->steps,
            'costs' => $this->costs,
            'deed' => $this->deed?->kept() ?? [],
        ];

        return [
            'kind' => $this->kind->value,
            'says' => $this->says,
            ...array_filter($about, fn (mixed $one): bool => ! in_array($one, [0, '', []], true)),
            ...$this->here?->kept() ?? [],
        ];
    }

    public function on(Problem $problem): Problem
    {
        return match ($this->kind) {
            LeverKind::Overtime => $this->overtime($problem),
            LeverKind::Machine => isset($problem->workCentres[$this->centre])
                ? Levers::secondMachine($problem, $this->centre)
                : $problem,
            LeverKind::Split => Levers::split($problem, $this->order),
            LeverKind::Rank => Levers::raiseRank($problem, $this->order),
            LeverKind::SendOut => $this->sentOut($problem),
            LeverKind::BringIn => $this->here?->on($problem, $this->step, $this->centre) ?? $problem,
            LeverKind::Material => Levers::material($problem, $this->steps),
            LeverKind::Other => Levers::moveTo($problem, $this->step, $this->centre),
        };
    }

    /** For days of its supplier, where it is known who does it. */
    private function sentOut(Problem $problem): Problem
    {
        $lead = $this->supplier === 0
            ? null
            : Deliveries::now()->worksOn($this->supplier, $problem->now + self::LEAD * 1440);

        return Levers::sendOut($problem, $this->step, $this->days * 1440, $lead);
    }

    private function overtime(Problem $problem): Problem
    {
        $centre = $problem->workCentres[$this->centre] ?? null;
        if ($centre === null || $this->spans === []) {
            return $problem;
        }
        $spans = $centre->open->spans();
        foreach ($this->spans as [$date, $from, $to]) {
            $spans[] = [self::minute($date, $from), self::minute($date, $to)];
        }
        $open = OpenWindows::of($spans, [], min(array_column($spans, 0)), max(array_column($spans, 1)));

        return Levers::overtime($problem, $this->centre, $open);
    }

    private static function minute(string $date, string $time): int
    {
        $at = new \DateTimeImmutable("{$date} {$time}", new \DateTimeZone(config()->string('pace.zone')));

        return intdiv($at->getTimestamp(), 60);
    }
}
