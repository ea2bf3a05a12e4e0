<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Brings a plan up to date with the facts: every machine keeps its sequence and only times are worked out again. A job
 * that was
 * not in the plan goes where it would stand if only those of better rank were there; the others make room in their
 * sequence.
 */
final class KeptSequence
{
    /** With more new jobs than this, all is loaded anew by rank: there is hardly a sequence to keep. */
    private const MANY = 12;

    /** @var array<int, int> by operation: where in the sequence */
    private array $key = [];

    /** @param  array<int, PlannedStep>  $was  by step id */
    private function __construct(private readonly Net $net, private array $was)
    {
    }

    /** @param  array<int, PlannedStep>  $was  by step id: the plan so far */
    public static function load(Problem $problem, array $was): Schedule
    {
        $self = new self(Net::of($problem), $was);
        $new = $self->newJobs();
        if (count($new) > max(self::MANY, count($self->net->jobs) / 2) || count($new) === count($self->net->jobs)) {
            return ForwardLoading::load($problem, $was);
        }
        $self->stand($problem->now);
        foreach ($new as $job) {
            $self->find($job, $new);
        }

        return Loading::load($self->net, $self->order(array_keys($self->key)), $self->was);
    }

    /**
     * A person moves a step: it takes its place on a machine by the minute it is put at, all others keep their
     * sequence.
     *
     * @param  array<int, PlannedStep>  $was  by step id: the plan so far
     */
    public static function moved(Problem $problem, array $was, Put $put): Schedule
    {
        $net = Net::of($problem);
        $minute = $put->minute;
        foreach ($was as $id => $at) {
            if (
                $id !== $put->step
                && $at->workCentre === $put->workCentre
                && $at->machine === $put->machine
                && $at->start <= $minute
                && $minute < $at->end
            ) {
                // put onto another: before it in its first half, behind it in its second
                $minute = 2 * $minute < $at->start + $at->end ? $at->start - 1 : $at->start + 1;
                break;
            }
        }
        $was[$put->step] = new PlannedStep($minute, $minute + 1, $put->machine, $put->workCentre);
        $self = new self($net, $was);
        $self->stand($problem->now);
        $self->keepBehind($put->step);

        return Loading::load($net, $self->order(array_keys($self->key)), $was);
    }

    /**
     * Steps of one machine come to stand one behind the other, where the last of them stands: those that were sooner
     * wait for it, so that none waits in between. All others keep their sequence.
     *
     * @param  array<int, PlannedStep>  $was  by step id: the plan so far
     * @param  list<int>  $steps  ids
     */
    public static function together(Problem $problem, array $was, array $steps): Schedule
    {
        $planned = array_intersect_key($was, array_flip($steps));
        uasort($planned, fn (PlannedStep $one, PlannedStep $two): int => $one->start <=> $two->start);
        $last = end($planned);
        if ($last === false) {
            return self::load($problem, $was);
        }
        $self = new self(Net::of($problem), $was);
        $minute = $last->start - count($planned);
        foreach (array_keys($planned) as $id) {
            $minute++;
            $self->was[$id] = new PlannedStep($minute, $minute + 1, $last->machine, $last->workCentre);
        }
        $self->stand($problem->now);
        array_map($self->keepBehind(...), array_keys($planned));

        return Loading::load($self->net, $self->order(array_keys($self->key)), $self->was);
    }

    /**
     * The order of the operations of a plan, for a search that begins from it.
     *
     * @param  array<int, PlannedStep>  $steps
     * @return list<int>
     */
    public static function orderOf(Net $net, array $steps): array
    {
        $self = new self($net, $steps);
        foreach ($net->before as $x => $before) {
            $self->key[$x] = $steps[$net->step[$x]->id]->start
                ?? max(0, ...array_map(static fn (int $y): int => $self->key[$y], $before), ...[0]);
        }

        return $self->order(array_keys($self->key));
    }

    /** Each operation where it stood; one that stood nowhere behind what it waits for. */
    private function stand(int $now): void
    {
        foreach ($this->net->before as $x => $before) {
            $key = $this->stoodAt($x);
            if ($key === null) {
                $key = max($now, 0);
                foreach ($before as $y) {
                    $key = max($key, $this->key[$y]);
                }
            }
            $this->key[$x] = $key;
        }
    }

    /**
     * Where in the sequence it stood. What begins late on purpose lets those go first that stood before that minute.
     */
    private function stoodAt(int $x): ?int
    {
        $step = $this->net->step[$x];
        $start = $this->was[$step->id]->start ?? null;

        if ($start === null || $step->started || $step->heldBackTo === 0) {
            return $start;
        }

        return max($start, $step->heldBackTo);
    }

    /** @return list<int> jobs of which the plan knows nothing, by rank */
    private function newJobs(): array
    {
        $new = [];
        foreach ($this->net->operations as $job => $operations) {
            $known = array_filter($operations, fn (int $x): bool => isset($this->was[$this->net->step[$x]->id]));
            if ($operations !== [] && $known === []) {
                $new[] = $job;
            }
        }
        usort($new, fn (int $a, int $b): int => $this->rank($a) <=> $this->rank($b));

        return $new;
    }

    /**
     * Looks where a new job goes among those of better rank, and notes it as if it had always stood there.
     *
     * @param  list<int>  $new
     */
    private function find(int $job, array $new): void
    {
        $taken = [];
        foreach ($this->net->operations as $other => $operations) {
            $isPlanned =
                ! in_array($other, $new, true) || array_search($other, $new, true) < array_search($job, $new, true);
            if ($isPlanned && $this->rank($other) < $this->rank($job)) {
                $taken += array_flip($operations);
            }
        }
        $mine = $this->net->operations[$job];
        foreach ($mine as $x) {
            $this->takeNeeded($x, $taken);
        }
        $gaps = array_fill_keys($mine, true);
        $schedule = Loading::load(
            $this->net,
            [...$this->order(array_keys(array_diff_key($taken, $gaps))), ...$mine],
            $this->was,
            $gaps,
        );
        foreach ($mine as $x) {
            $at = $schedule->steps[$this->net->step[$x]->id] ?? null;
            if ($at !== null) {
                $this->key[$x] = $at->start;
                $this->was[$this->net->step[$x]->id] = $at;
            }
        }
    }

    /**
     * A moved step goes behind what it waits for, and what waits for it goes behind the step; the sequences of their
     * machines stand.
     */
    private function keepBehind(int $step): void
    {
        $behind = [];
        foreach ($this->net->before as $x => $before) {
            if ($this->net->step[$x]->id === $step) {
                foreach ($before as $y) {
                    $this->key[$x] = max($this->key[$x], $this->was[$this->net->step[$y]->id]->end ?? 0);
                }
                $behind[$x] = true;

                continue;
            }
            foreach ($before as $y) {
                if (isset($behind[$y])) {
                    $this->key[$x] = max($this->key[$x], $this->key[$y]);
                    $behind[$x] = true;
                }
            }
        }
    }

    /** @param  array<int, int>  $taken  by operation */
    private function takeNeeded(int $x, array &$taken): void
    {
        foreach ($this->net->before[$x] as $y) {
            if (! isset($taken[$y])) {
                $taken[$y] = $y;
                $this->takeNeeded($y, $taken);
            }
        }
    }

    /** @return array{int, int, int} */
    private function rank(int $job): array
    {
        return [$this->net->jobs[$job]->rank, $this->net->due[$job], $this->net->jobs[$job]->id];
    }

    /**
     * By key, but nothing before what it waits for.
     *
     * @param  list<int>  $operations  with all they wait for
     * @return list<int>
     */
    private function order(array $operations): array
    {
        $jobs = array_keys($this->net->jobs);
        usort($jobs, fn (int $a, int $b): int => $this->rank($a) <=> $this->rank($b));
        $place = array_flip($jobs);
        $keys = $places = [];
        foreach ($operations as $x) {
            $keys[] = $this->key[$x];
            $places[] = $place[$this->net->job[$x]];
        }
        array_multisort($keys, $places, $operations);
        $order = $done = [];
        foreach ($operations as $x) {
            $this->takeBehind($x, $order, $done);
        }

        return $order;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, true>  $done  by operation
     */
    private function takeBehind(int $x, array &$order, array &$done): void
    {
        if (! isset($done[$x])) {
            $done[$x] = true;
            foreach ($this->net->before[$x] as $y) {
                $this->takeBehind($y, $order, $done);
            }
            $order[] = $x;
        }
    }
}
