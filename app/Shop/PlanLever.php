<?php

namespace App\Shop;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Lever\Levers;
use KeepPace\Core\Scheduling\Problem;

/** One lever of a what-if, as it is kept: what is taken to be otherwise than the facts say. */
final readonly class PlanLever
{
    public const OVERTIME = 'overtime';

    public const MACHINE = 'machine';

    public const SPLIT = 'split';

    public const RANK = 'rank';

    public const SEND_OUT = 'send_out';

    public const BRING_IN = 'bring_in';

    public const OTHER = 'other';

    public const MATERIAL = 'material';

    /** Days ahead a supplier's calendar is looked up. */
    private const LEAD = 400;

    /**
     * @param  array<string, mixed>  $is  kind, and by kind: centre, spans [[date, from, to]], order, step, days,
     *     supplier, setup, minutes, crew, setup_crew, steps {step: [minute, [jobs]]}, says, costs, deed
     */
    private function __construct(public array $is)
    {
    }

    /** @param  array<string, mixed>  $is */
    public static function of(array $is): self
    {
        return new self($is);
    }

    public function on(Problem $problem): Problem
    {
        return match ($this->is['kind']) {
            self::OVERTIME => $this->overtime($problem),
            self::MACHINE => isset($problem->workCentres[$this->number('centre')])
                ? Levers::secondMachine($problem, $this->number('centre'))
                : $problem,
            self::SPLIT => Levers::split($problem, $this->number('order')),
            self::RANK => Levers::raiseRank($problem, $this->number('order')),
            self::SEND_OUT => $this->sentOut($problem),
            self::BRING_IN => $this->broughtIn($problem),
            self::MATERIAL => $this->material($problem),
            self::OTHER => Levers::moveTo($problem, $this->number('step'), $this->number('centre')),
            default => $problem,
        };
    }

    private function number(string $of): int
    {
        $is = $this->is[$of] ?? 0;

        return is_int($is) ? $is : 0;
    }

    /** Whether going live can make it a fact; a second machine is bought, and material comes by a deed of its own. */
    public function canBeFact(): bool
    {
        return in_array($this->is['kind'], [self::OVERTIME, self::SPLIT, self::RANK, self::OTHER], true);
    }

    /** For days of its supplier, where it is known who does it. */
    private function sentOut(Problem $problem): Problem
    {
        $supplier = $this->number('supplier');
        $lead = $supplier === 0
            ? null
            : Deliveries::now()->worksOn($supplier, $problem->now + self::LEAD * 1440);

        return Levers::sendOut($problem, $this->number('step'), $this->number('days') * 1440, $lead);
    }

    private function broughtIn(Problem $problem): Problem
    {
        $centre = $this->number('centre');
        $heads = count($problem->crews[$centre]->persons ?? []);

        return ! isset($problem->workCentres[$centre]) ? $problem : Levers::bringIn(
            $problem,
            $this->number('step'),
            $centre,
            [$this->number('setup'), $this->number('minutes')],
            $heads === 0 ? null : new Crewing(
                $centre,
                min($heads, $this->number('setup_crew')),
                min($heads, $this->number('crew')),
            ),
        );
    }

    private function material(Problem $problem): Problem
    {
        /** @var array<int, array{int, list<int>}> $steps */
        $steps = $this->is['steps'];

        return Levers::material($problem, $steps);
    }

    private function overtime(Problem $problem): Problem
    {
        $centre = $problem->workCentres[$this->number('centre')] ?? null;
        if ($centre === null) {
            return $problem;
        }
        $spans = array_map(null, $centre->open->starts, $centre->open->ends);
        foreach ($this->is['spans'] as [$date, $from, $to]) {
            $spans[] = [self::minute($date, $from), self::minute($date, $to)];
        }
        $starts = array_column($spans, 0);
        $ends = array_column($spans, 1);

        $open = OpenWindows::of($spans, [], min($starts), max($ends));

        return Levers::overtime($problem, $this->number('centre'), $open);
    }

    private static function minute(string $date, string $time): int
    {
        return intdiv(
            (new \DateTimeImmutable(
                "{$date} {$time}",
                new \DateTimeZone(config()->string('pace.zone')),
            ))->getTimestamp(),
            60,
        );
    }
}
