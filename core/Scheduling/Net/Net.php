<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Net;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;

/**
 * A problem as flat lists for loading and search: operations numbered so that each comes after those it waits for, work
 * centres numbered from 0, minutes counted from now.
 */
final class Net
{
    public int $origin = 0;

    public int $count = 0;

    /** @var list<Step> by operation */
    public array $step = [];

    /** @var list<int> by operation: its job */
    public array $job = [];

    /** @var list<int> by operation: its work centre, -1 outside */
    public array $centre = [];

    /**
     * @var list<int> by operation: open minutes, setup and run; outside minutes of the supplier's calendar or elapsed
     *     ones
     */
    public array $work = [];

    /** @var list<int> by operation: how much of that may be done before the material is there */
    public array $ahead = [];

    /** @var list<int> by operation: not before this minute */
    public array $release = [];

    /** @var list<list<Way>> by operation: how it can be done, first as the routing says; none outside */
    public array $ways = [];

    /** @var list<list<int>> by operation: those that must be through before */
    public array $before = [];

    /** @var list<list<int>> by operation: those that wait for it */
    public array $after = [];

    /** @var list<Windows|null> by operation: an outside step's supplier's calendar */
    public array $lead = [];

    /** @var list<Job> */
    public array $jobs = [];

    /** @var list<list<int>> by job: its operations */
    public array $operations = [];

    /** @var list<list<int>> by job: the operations with which it is finished */
    public array $tails = [];

    /** @var list<int> by job; Windows::NEVER = none */
    public array $due = [];

    /** @var list<int> by job: minutes of lateIn before the due date */
    public array $dueOpen = [];

    /** @var list<int> key of each work centre in the problem */
    public array $centreKey = [];

    /** @var list<int> */
    public array $machines = [];

    /** @var list<Windows> by work centre */
    public array $open = [];

    /** @var array<int, list<Windows>> by work centre whose machines do not all keep one calendar: of each machine */
    public array $machineOpen = [];

    /** @var array<int, array<int, Windows>> by work centre: of machines by number that keep hours of their own */
    public array $ownOpen = [];

    public ?Windows $lateIn = null;

    /**
     * @var array<int, true> by work centre where a walk asks the rules of loading how long a step takes: people are
     *     shared, qualified or asked for unevenly, a step may not stand over a night, a machine takes several at once
     */
    public array $asked = [];

    /** @var array<int, string> by job id: why it has no place */
    public array $unplaced = [];

    /** @var list<string> */
    public array $notes = [];

    public function __construct(public readonly Problem $problem)
    {
    }

    public static function of(Problem $problem): self
    {
        return (new NetBuilder($problem))->net;
    }

    public function machineHours(int $centre, int $machine): Windows
    {
        return $this->ownOpen[$centre][$machine] ?? $this->open[$centre];
    }

    /**
     * When what waits for an operation that ends then may begin: its wait, then its move.
     *
     * @param  int|null  $centre  where it was done, if not where the routing says
     */
    public function out(int $operation, int $end, ?int $centre = null): int
    {
        $step = $this->step[$operation];
        $ready = $end + $step->wait;
        $centre ??= $this->centre[$operation];

        $moved =
            $step->move === 0 || $centre < 0
                ? $ready + $step->move
                : $this->open[$centre]->finish($ready, $step->move);

        // behind the last open time known it is moved all the same
        return $moved < Windows::NEVER ? $moved : $ready + $step->move;
    }

    /**
     * When what waits for an operation may begin, if nothing keeps the operation from beginning at $ready.
     *
     * @param  int  $centre  where it is done
     * @param  int  $work  minutes it takes there
     */
    public function outFrom(int $operation, int $ready, int $centre, int $work): int
    {
        if ($centre >= 0) {
            $end = $this->open[$centre]->finish($this->open[$centre]->nextOpen($ready), $work);
        } else {
            $end = $this->lead[$operation] === null ? $ready + $work : $this->lead[$operation]->finish($ready, $work);
        }

        return $this->out($operation, $end, $centre);
    }

    /** Minutes late, in the calendar lateness is counted in. */
    public function late(int $job, int $finish): int
    {
        return $finish <= $this->due[$job]
            ? 0
            : ($this->lateIn === null
                ? $finish - $this->due[$job]
                : $this->lateIn->total($finish) - $this->dueOpen[$job]);
    }
}
