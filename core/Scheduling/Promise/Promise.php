<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Promise;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * When something not ordered yet could be finished, given all that is planned; nothing is saved. What is asked for
 * comes as jobs, the
 * parts it needs among them. It is tried into the plan from many points in time on: before that the plan stands, from
 * there on it goes first and the others make room. A date is held by leaving its jobs in the problem.
 */
final class Promise
{
    private const POINTS = 32;

    private readonly Net $net;

    /** @var list<int> operations of the plan, in its order */
    private array $planned = [];

    /** @var list<int> operations of what is asked for, each behind those it needs */
    private array $asked = [];

    private readonly Schedule $before;

    /** @var list<Promised> those tried, and the one that moves nobody first */
    private array $tried = [];

    /**
     * @param  Problem  $problem  without what is asked for
     * @param  array<int, PlannedStep>  $plan  by step id
     * @param  list<Job>  $jobs
     * @param  int  $wanted  the job whose finish is asked
     */
    public function __construct(
        private readonly Problem $problem,
        private readonly array $plan,
        array $jobs,
        private readonly int $wanted,
    ) {
        $this->before = KeptSequence::load($problem, $plan);
        $this->net = Net::of(
            new Problem(
                $problem->now,
                $problem->workCentres,
                [...$problem->jobs, ...$jobs],
                $problem->crews,
                $problem->lateIn,
            ),
        );
        $ids = array_flip(array_map(static fn (Job $job): int => $job->id, $jobs));
        $isAsked = fn (int $x): bool => isset($ids[$this->net->jobs[$this->net->job[$x]]->id]);
        $this->asked = array_values(array_filter(ForwardLoading::order($this->net), $isAsked));
        $this->planned = array_values(array_filter(KeptSequence::orderOf($this->net, $this->before->steps),
            static fn (int $x): bool => ! $isAsked($x)));
        $this->tryAll();
    }

    /** @return string|null why it cannot be made at all */
    public function impossible(): ?string
    {
        return $this->tried === [] ? $this->net->unplaced[$this->wanted] ?? 'It has no place in the schedule.' : null;
    }

    /** The earliest that changes no planned step. */
    public function movingNobody(): ?Promised
    {
        return $this->tried[0] ?? null;
    }

    /** The earliest that makes nobody late, or later than he is. */
    public function usingSlack(): ?Promised
    {
        $best = null;
        foreach ($this->tried as $one) {
            if ($one->later === [] && ($best === null || $one->finish < $best->finish)) {
                $best = $one;
            }
        }

        return $best;
    }

    /**
     * If it must be finished by a date: the way that makes others least late; the earliest there is when none is in
     * time.
     */
    public function insisting(int $by): ?Promised
    {
        $best = null;
        foreach ($this->tried as $one) {
            $isInTime = $one->finish <= $by;
            $bestIsInTime = $best !== null && $best->finish <= $by;
            $isBetter = $best === null
                || ($isInTime && ! $bestIsInTime)
                || ($isInTime === $bestIsInTime && self::weight($one, $isInTime) < self::weight($best, $isInTime));
            $best = $isBetter ? $one : $best;
        }

        return $best;
    }

    /** @return array{int, int}  what is compared: the harm first when it is in time, else the finish first */
    private static function weight(Promised $one, bool $isInTime): array
    {
        return $isInTime ? [$one->harm(), $one->finish] : [$one->finish, $one->harm()];
    }

    private function tryAll(): void
    {
        $first = $this->weigh(
            Loading::load(
                $this->net,
                [...$this->planned, ...$this->asked],
                $this->before->steps,
                array_fill_keys($this->asked, true),
            ),
        );
        if ($first === null) {
            return;
        }
        $this->tried[] = $first;
        for ($point = 0; $point < self::POINTS; $point++) {
            $from = $this->problem->now + intdiv(($first->finish - $this->problem->now) * $point, self::POINTS);
            $one = $this->weigh($this->goingFirst($from));
            if ($one !== null) {
                $this->tried[] = $one;
            }
        }
    }

    /** What is planned to begin before a minute stands; then comes what is asked for; then the rest. */
    private function goingFirst(int $from): Schedule
    {
        $stands = $this->standing($from);
        $some = Loading::load(
            $this->net,
            [...array_keys($stands), ...$this->asked],
            $this->before->steps,
            array_fill_keys($this->asked, true),
        );
        $keys = $this->before->steps;
        foreach ($this->asked as $x) {
            $id = $this->net->step[$x]->id;
            if (isset($some->steps[$id])) {
                // at the same minute it goes before what is planned
                $keys[$id] = new PlannedStep(
                    $some->steps[$id]->start - (isset($stands[$x]) ? 0 : 1),
                    $some->steps[$id]->end,
                    $some->steps[$id]->machine,
                    $some->steps[$id]->workCentre,
                );
            }
        }

        return Loading::load($this->net, KeptSequence::orderOf($this->net, $keys), $keys);
    }

    /**
     * @return array<int, true> planned operations that begin before a minute, and all they need, in the order of the
     *     plan
     */
    private function standing(int $from): array
    {
        $stands = [];
        $take = function (int $x) use (&$take, &$stands): void {
            if (! isset($stands[$x])) {
                array_map($take, $this->net->before[$x]);
                $stands[$x] = true;
            }
        };
        foreach ($this->planned as $x) {
            $at = $this->before->steps[$this->net->step[$x]->id] ?? null;
            if ($this->net->step[$x]->started || ($at !== null && $at->start < $from)) {
                $take($x);
            }
        }
        // and parts in the plan that what is asked for needs
        foreach ($this->asked as $x) {
            foreach (array_diff($this->net->before[$x], $this->asked) as $y) {
                $take($y);
            }
        }

        return $stands;
    }

    private function weigh(Schedule $schedule): ?Promised
    {
        if (! isset($schedule->finish[$this->wanted])) {
            return null;
        }
        $later = [];
        foreach ($this->net->jobs as $j => $job) {
            if (isset($this->before->finish[$job->id]) && $job->due !== null) {
                $was = $this->net->late($j, $this->before->finish[$job->id] - $this->net->origin);
                $is = isset($schedule->finish[$job->id])
                    ? $this->net->late($j, $schedule->finish[$job->id] - $this->net->origin)
                    : PHP_INT_MAX;
                if ($is > $was) {
                    $later[$job->id] = $is - $was;
                }
            }
        }

        return new Promised($schedule->finish[$this->wanted], $later, $schedule);
    }
}
