<?php

namespace Tests\Core\Scheduling;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\SharedRun;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/**
 * Judges, minute by minute and with none of the engine's code, all that a shop may ask of a schedule: own calendars,
 * crews and
 * qualifications, families, batches, alternatives, transfer batches, pins, setups ahead of the material, what may not
 * be interrupted.
 */
final class FullChecker
{
    /** @var list<string> */
    private array $faults = [];

    /** @var array<string, array<int, true>> open minutes by calendar */
    private array $minutes = [];

    /**
     * @var array<string, list<array{int, int, Step, Crewing|null, int}>> start, end, step, crewing, setup minutes
     *     worked; by machine
     */
    private array $machines = [];

    /** @var array<int, array<int, list<array{int, string|null}>>> by crew and minute: what is asked of it */
    private array $asked = [];

    private function __construct(private readonly Problem $problem, private readonly Schedule $schedule)
    {
    }

    /** @return list<string> */
    public static function faults(Problem $problem, Schedule $schedule): array
    {
        $self = new self($problem, $schedule);
        foreach ($problem->jobs as $job) {
            $self->job($job);
        }
        $self->machines();
        $self->crews();

        return $self->faults;
    }

    private function job(Job $job): void
    {
        $ready = [$this->problem->now];
        $first = $last = null;
        foreach ($job->steps as $step) {
            $at = $this->schedule->steps[$step->id] ?? null;
            if ($at === null) {
                if (! isset($this->schedule->unplaced[$job->id])) {
                    $this->faults[] = "step {$step->id} not placed";
                }

                return;
            }
            $begin = $step->workCentre === null ? $this->outside($step, $at) : $this->inside($step, $at);
            if (! $step->started) {
                $from = [
                    $step->materialAt,
                    ...array_map(
                        fn (int $other): int => $this->schedule->finish[$other] ?? PHP_INT_MAX,
                        $step->afterJobs,
                    ),
                ];
                $from[] = $step->workCentre === null ? max($ready) : $first ?? max($ready);
                $from = max($from);
                if ($begin < $from) {
                    $this->faults[] = "step {$step->id} begins at {$begin}, before {$from}";
                }
                if (
                    $last !== null
                    && $step->workCentre !== null
                    && $at->end < $this->after($this->run($step, $at), max($ready), $last)
                ) {
                    $this->faults[] = "step {$step->id} starves at {$at->end}";
                }
            }
            $out = $this->out($step, $at, $at->end);
            $ready = $step->started ? [...$ready, $out] : [$out];
            $pass = $step->workCentre === null ? null : $step->passOn;
            $first = $last = null;
            if ($pass !== null) {
                $run = $this->run($step, $at);
                $first = $this->out(
                    $step,
                    $at,
                    min($at->end, $this->after($run, $at->runStart ?? $at->start, $pass->first)),
                );
                $last = $pass->last;
            }
        }
        if (
            ($this->schedule->finish[$job->id] ?? null)
            !== (isset($this->schedule->unplaced[$job->id]) ? null : max($ready))
        ) {
            $this->faults[] = "job {$job->id} finishes at "
                .max($ready)
                .', said is '
                .($this->schedule->finish[$job->id] ?? 'never');
        }
    }

    private function outside(Step $step, PlannedStep $at): int
    {
        $works = $step->lead === null ? $at->end - $at->start
            : count(array_intersect_key($this->open($step->lead), array_flip(range($at->start, $at->end - 1))));
        if ($works !== max(1, $step->minutes)) {
            $this->faults[] = "outside step {$step->id} takes {$works}";
        }

        return $at->start;
    }

    /** @return int the minute at which its material must be there */
    private function inside(Step $step, PlannedStep $at): int
    {
        $way = $this->way($step, $at);
        $centre = $this->problem->workCentres[$at->workCentre];
        if ($way === null || $at->machine < 1 || $at->machine > $centre->machines) {
            $this->faults[] = "step {$step->id} where it cannot be";

            return $at->start;
        }
        $setupEnd = $this->setupEnd($at);
        $setup = $setupEnd > $at->start
                ? array_intersect_key($this->setup($step, $at), array_flip(range($at->start, $setupEnd - 1)))
                : [];
        $runStart = $at->runStart ?? $at->start;
        $run = $at->end > $runStart
                ? array_intersect_key($this->run($step, $at), array_flip(range($runStart, $at->end - 1)))
                : [];
        $needed = $way[0] === 0 && $setup === [] ? max(1, $way[1]) : $way[1];
        if ($centre->batch > 0 ? count($run) < $needed : count($run) !== $needed) {
            $this->faults[] = "step {$step->id} runs ".count($run)." of {$needed}";
        }
        if (
            ($setup !== [] && ! isset($setup[$at->start], $setup[$setupEnd - 1]))
            || ($run !== [] && ! isset($run[$runStart], $run[$at->end - 1]))
            || $runStart < $setupEnd
        ) {
            $this->faults[] = "step {$step->id} starts or ends in closed time";
        }
        if ($step->unbroken && ! $step->started && count($setup) + count($run) !== $at->end - $at->start) {
            $this->faults[] = "step {$step->id} is interrupted";
        }
        if (
            $step->setupWithRun
            && ! $step->started
            && $setup !== []
            && $run !== []
            && ! isset($run[$setupEnd], $run[$runStart])
        ) {
            $this->faults[] = "step {$step->id} is parted from its setup";
        }
        if ($step->pin !== null && ! $step->started && $at->start < $step->pin->start) {
            $this->faults[] = "step {$step->id} starts before its pin";
        }
        $this->machines["{$at->workCentre}/{$at->machine}"][] = [$at->start, $at->end, $step, $way[2], count($setup)];
        foreach ($way[2] === null ? [] : [[$setup, $way[2]->setup], [$run, $way[2]->run]] as [$minutes, $number]) {
            foreach ($number === 0 ? [] : array_keys($minutes) as $minute) {
                // a batch asks for its crew once
                $key = $centre->batch > 0 ? "{$at->workCentre}/{$at->machine}" : "step {$step->id}";
                $this->asked[$way[2]->crew][$minute][$key] = [$number, $way[2]->qualification];
            }
        }

        return $setup === [] || $step->setupNeedsMaterial ? $at->start : $runStart;
    }

    /** A run of several orders is set up once, whatever else stood there; its steps are of one family, or of none. */
    private static function change(WorkCentre $centre, ?string $from, ?string $to): int
    {
        $table = $centre->changeovers;
        if ($table === null || $to === null) {
            return 0;
        }
        $run = $table->runs[$to] ?? null;
        if ($run !== null && $from === $to) {
            return 0;
        }
        $plain = fn (?string $of): ?string => isset($table->runs[$of ?? '-']) ? $table->runs[$of]->family : $of;
        [$was, $is] = [$plain($from), $plain($to)];
        $between = in_array($was, [null, ''], true) || in_array($is, [null, ''], true)
            ? 0
            : $table->minutes[$was][$is] ?? ($was === $is ? 0 : $table->other);

        return $between + ($run === null ? 0 : $run->setup);
    }

    private function machines(): void
    {
        foreach ($this->machines as $name => $blocks) {
            [$centre, $number] = array_map(intval(...), explode('/', $name));
            $centre = $this->problem->workCentres[$centre];
            usort($blocks, fn (array $a, array $b): int => [$a[0], $a[1], $a[2]->id] <=> [$b[0], $b[1], $b[2]->id]);
            $family = $centre->familyNow[$number] ?? null;
            $taken = 0;
            foreach ($blocks as $i => [$start, $end, $step, $crewing, $setup]) {
                $before = $blocks[$i - 1] ?? null;
                $joins = $before !== null && $centre->batch > 0 && $before[0] === $start && $before[1] === $end
                    && $before[2]->family === $step->family;
                $taken = $joins ? $taken + $step->size : $step->size;
                if ($before !== null && ! $joins && $start < $before[1]) {
                    $this->faults[] = "step {$step->id} over {$before[2]->id} on {$name}";
                }
                if ($centre->batch > 0 && $taken > $centre->batch) {
                    $this->faults[] = "step {$step->id} overfills {$name}";
                }
                $change = $step->started || $joins ? 0 : self::change($centre, $family, $step->family);
                $own = $this->way($step, $this->schedule->steps[$step->id])[0];
                if (
                    $setup < $own + $change
                    || ($centre->changeovers === null && $centre->batch === 0 && $setup !== $own)
                ) {
                    $this->faults[] = "step {$step->id} sets up {$setup} of {$own} and {$change}";
                }
                $family = $step->family ?? $family;
            }
        }
    }

    private function crews(): void
    {
        foreach ($this->asked as $crew => $byMinute) {
            foreach ($byMinute as $minute => $asked) {
                $present = array_values(array_filter($this->problem->crews[$crew]->persons,
                    fn (Person $person): bool => isset($this->open($person->present)[$minute])));
                $places = [];
                foreach ($asked as [$number, $qualification]) {
                    array_push($places, ...array_fill(0, $number, $qualification));
                }
                if (! self::seats($places, $present)) {
                    $this->faults[] = "crew {$crew} is short at {$minute}";

                    return;
                }
            }
        }
    }

    /**
     * Whether each place can be given to another person, by trying.
     *
     * @param  list<string|null>  $places
     * @param  list<Person>  $persons
     */
    private static function seats(array $places, array $persons): bool
    {
        if ($places === []) {
            return true;
        }
        $need = array_shift($places);
        foreach ($persons as $i => $person) {
            if ($need === null || in_array($need, $person->qualifications, true)) {
                $rest = $persons;
                unset($rest[$i]);
                if (self::seats($places, array_values($rest))) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{int, int, Crewing|null}|null setup, run, crew */
    private function way(Step $step, PlannedStep $at): ?array
    {
        if ($at->workCentre === $step->workCentre) {
            return [$step->setup, $step->minutes, $step->crewing];
        }
        foreach ($step->alternatives as $other) {
            if ($other->workCentre === $at->workCentre) {
                return [$other->setup, $other->minutes, $other->crewing];
            }
        }

        return null;
    }

    private function setupEnd(PlannedStep $at): int
    {
        return $at->setupEnd ?? $at->start;
    }

    /** @return array<int, true> minutes in which it can be set up */
    private function setup(Step $step, PlannedStep $at): array
    {
        return $this->workable($at, $this->way($step, $at)[2], $this->way($step, $at)[2]->setup ?? 0);
    }

    /** @return array<int, true> minutes in which it can run */
    private function run(Step $step, PlannedStep $at): array
    {
        return $step->workCentre === null ? array_fill_keys(range(0, 9000), true)
            : $this->workable($at, $this->way($step, $at)[2], $this->way($step, $at)[2]->run ?? 0);
    }

    /** @return array<int, true> */
    private function workable(PlannedStep $at, ?Crewing $crewing, int $number): array
    {
        $centre = $this->problem->workCentres[$at->workCentre];
        $key = "{$at->workCentre}/{$at->machine}/"
            .($number === 0 || $crewing === null ? '' : "{$crewing->crew}/{$number}/{$crewing->qualification}");

        return $this->minutes[$key] ??= array_filter(
            $this->open($centre->ownOpen[$at->machine] ?? $centre->open),
            fn (bool $open, int $minute): bool => $number === 0
                || $crewing === null
                || count(
                    array_filter(
                        $this->problem->crews[$crewing->crew]->persons,
                        fn (Person $person): bool => isset($this->open($person->present)[$minute])
                            && ($crewing->qualification === null
                                || in_array($crewing->qualification, $person->qualifications, true)),
                    ),
                ) >= $number,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** @return array<int, true> */
    private function open(OpenWindows $open): array
    {
        $key = 'o'.spl_object_id($open);
        if (! isset($this->minutes[$key])) {
            $minutes = [];
            foreach ($open->starts as $i => $start) {
                for ($minute = $start; $minute < $open->ends[$i]; $minute++) {
                    $minutes[$minute] = true;
                }
            }
            $this->minutes[$key] = $minutes;
        }

        return $this->minutes[$key];
    }

    /**
     * The end of so many of the minutes from a minute on.
     *
     * @param  array<int, true>  $minutes
     */
    private function after(array $minutes, int $from, int $number): int
    {
        if ($number <= 0) {
            return $from;
        }
        foreach ($minutes as $minute => $_) {
            if ($minute >= $from && --$number === 0) {
                return $minute + 1;
            }
        }

        return PHP_INT_MAX;
    }

    private function out(Step $step, PlannedStep $at, int $end): int
    {
        return $step->workCentre === null
            ? $end + $step->wait + $step->move
            : $this->after(
                $this->open($this->problem->workCentres[$at->workCentre]->open),
                $end + $step->wait,
                $step->move,
            );
    }

    /** A random shop in which everything happens. */
    public static function random(): Problem
    {
        $spans = function (int $shortest, int $longest, int $closed): OpenWindows {
            $spans = [];
            for ($t = mt_rand(0, 60); $t < 6000; $t += mt_rand(1, $closed)) {
                $spans[] = [$t, $t += mt_rand($shortest, $longest)];
            }

            return OpenWindows::of($spans, [], 0, 8000);
        };
        $families = ['red', 'green', 'blue'];
        $goesBy = [...$families, 'run 1', 'run 2', ''];
        $runs = ['run 1' => new SharedRun(25), 'run 2' => new SharedRun(12, 'red')];
        $crews = [];
        foreach ([1, 2] as $crew) {
            $persons = [];
            for ($p = mt_rand(1, 3); $p > 0; $p--) {
                $persons[] = new Person(
                    "person {$p}",
                    $spans(100, 400, 120),
                    array_values(array_filter(['weld', 'bend'], fn (): bool => mt_rand(0, 1) === 1)),
                );
            }
            $crews[$crew] = new Crew("crew {$crew}", $persons);
        }
        $centres = [];
        for ($c = 1, $n = mt_rand(2, 4); $c <= $n; $c++) {
            $matrix = [];
            foreach ($families as $from) {
                foreach ($families as $to) {
                    $matrix[$from][$to] = $from === $to ? 0 : mt_rand(0, 20);
                }
            }
            $machines = mt_rand(1, 3);
            $centres[$c] = new WorkCentre(
                "centre {$c}",
                $machines,
                $spans(60, 300, 80),
                mt_rand(0, 2) === 0 ? [1 => $spans(60, 300, 80)] : [],
                mt_rand(0, 4) === 0 ? 3 : 0,
                mt_rand(0, 2) === 0 ? new Changeovers($matrix, runs: $runs) : null,
                mt_rand(0, 1) === 0 ? [1 => 'red'] : [],
            );
        }
        $crewing = fn (): ?Crewing => mt_rand(0, 2) > 0
            ? null
            : new Crewing(mt_rand(1, 2), mt_rand(0, 1), mt_rand(0, 2), [null, null, 'weld', 'bend'][mt_rand(0, 3)]);
        $jobs = [];
        $id = 0;
        $started = [];
        for ($j = 1, $n = mt_rand(1, 8); $j <= $n; $j++) {
            $steps = [];
            for ($s = mt_rand(1, 4); $s > 0; $s--) {
                $centre = mt_rand(0, 5) === 0 ? null : mt_rand(1, count($centres));
                $start = $steps === [] && $centre !== null && mt_rand(0, 6) === 0 && ! isset($started[$centre]);
                $started += $start ? [$centre => true] : [];
                $batch = $centre !== null && $centres[$centre]->batch > 0;
                $other = mt_rand(1, count($centres));
                $steps[] = new Step(
                    ++$id,
                    $centre,
                    mt_rand(1, 60),
                    mt_rand(0, 3) === 0 ? mt_rand(1, 80) : 0,
                    mt_rand(0, 3) === 0 ? mt_rand(1, 15) : 0,
                    ! $start && mt_rand(0, 4) === 0 ? mt_rand(1, 600) : 0,
                    ! $start && $steps === [] && $j > 1 && mt_rand(0, 3) === 0 ? [mt_rand(1, $j - 1)] : [],
                    $start,
                    setup: mt_rand(0, 1) * mt_rand(1, 30),
                    setupNeedsMaterial: mt_rand(0, 3) === 0,
                    setupWithRun: ! $batch && mt_rand(0, 4) === 0,
                    unbroken: ! $batch && mt_rand(0, 4) === 0,
                    family: mt_rand(0, 2) === 0 ? null : $goesBy[mt_rand(0, 5)],
                    size: mt_rand(1, 2),
                    crewing: $crewing(),
                    alternatives: $centre !== null && $other !== $centre && ! $start && mt_rand(0, 3) === 0
                        ? [new Alternative($other, mt_rand(1, 60), mt_rand(0, 10), $crewing())]
                        : [],
                    passOn: mt_rand(0, 3) === 0 ? new PassOn(mt_rand(1, 20), mt_rand(1, 20)) : null,
                    pin: $centre !== null && ! $start && mt_rand(0, 9) === 0 ? new Pin(mt_rand(0, 1500), 1) : null,
                    lead: $centre === null && mt_rand(0, 1) === 0 ? $spans(60, 300, 80) : null);
            }
            $jobs[] = new Job($j, "job {$j}", mt_rand(1, 3), mt_rand(0, 3000), $steps, mt_rand(1, 3));
        }

        return new Problem(0, $centres, $jobs, $crews);
    }
}
