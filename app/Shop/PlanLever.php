<?php

namespace App\Shop;

use KeepPace\Core\Calendar\OpenWindows;
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

    public const OTHER = 'other';

    public const MATERIAL = 'material';

    /**
     * @param  array<string, mixed>  $is  kind, and by kind: centre, spans [[date, from, to]], order, step, days, steps
     *     {step: [minute, [jobs]]}, says
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
            self::MACHINE => isset($problem->workCentres[$this->is['centre']])
                ? Levers::secondMachine($problem, $this->is['centre'])
                : $problem,
            self::SPLIT => Levers::split($problem, $this->is['order']),
            self::RANK => Levers::raiseRank($problem, $this->is['order']),
            self::SEND_OUT => Levers::sendOut($problem, $this->is['step'], $this->is['days'] * 1440),
            self::MATERIAL => $this->material($problem),
            self::OTHER => Levers::moveTo($problem, $this->is['step'], $this->is['centre']),
            default => $problem,
        };
    }

    /** Whether going live can make it a fact; a second machine is bought, and material comes by a deed of its own. */
    public function canBeFact(): bool
    {
        return in_array($this->is['kind'], [self::OVERTIME, self::SPLIT, self::RANK, self::OTHER], true);
    }

    private function material(Problem $problem): Problem
    {
        /** @var array<int, array{int, list<int>}> $steps */
        $steps = $this->is['steps'];

        return Levers::material($problem, $steps);
    }

    private function overtime(Problem $problem): Problem
    {
        $centre = $problem->workCentres[$this->is['centre']] ?? null;
        if ($centre === null) {
            return $problem;
        }
        $spans = array_map(null, $centre->open->starts, $centre->open->ends);
        foreach ($this->is['spans'] as [$date, $from, $to]) {
            $spans[] = [self::minute($date, $from), self::minute($date, $to)];
        }
        $starts = array_column($spans, 0);
        $ends = array_column($spans, 1);

        return Levers::overtime($problem, $this->is['centre'], OpenWindows::of($spans, [], min($starts), max($ends)));
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
