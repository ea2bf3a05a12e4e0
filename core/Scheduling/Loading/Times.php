<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Step;

/**
 * The earliest time a step can be worked on a machine that stands empty: setup while machine and setup crew are there,
 * run while machine and run crew are there, and all that may not be.
 */
final readonly class Times
{
    /** A step that still does not fit after so many starts does not fit. */
    private const TRIES = 20_000;

    private function __construct(public int $start, public int $setupEnd, public int $runStart, public int $end)
    {
    }

    /**
     * @param  int  $setup  open minutes, changeover included
     * @param  int  $from  the machine is free
     * @param  int  $ready  material and the steps before are there
     * @param  int  $atLeast  it must not end before
     * @param  Windows  $setupOpen  machine and setup crew
     * @param  Windows  $runOpen  machine and run crew
     * @param  CrewBook|null  $crew  whom else the crew is promised to
     */
    public static function of(
        Step $step,
        Way $way,
        int $setup,
        int $from,
        int $ready,
        int $atLeast,
        Windows $setupOpen,
        Windows $runOpen,
        ?CrewBook $crew,
    ): ?self {
        $run = max($way->run, $setup === 0 ? 1 : 0);
        $ahead = $setup > 0 && ! $step->setupNeedsMaterial;
        $start = $ahead ? max($from, $setupOpen->startFor($runOpen->nextOpen($ready), $setup)) : max($from, $ready);
        for ($try = 0; $try < self::TRIES; $try++) {
            $start = $setup > 0 ? $setupOpen->nextOpen($start) : $runOpen->nextOpen($start);
            $setupEnd = $setup > 0 ? $setupOpen->finish($start, $setup) : $start;
            $runStart = $run > 0 ? $runOpen->nextOpen(max($setupEnd, $ready)) : $setupEnd;
            $end = $run > 0 ? $runOpen->finish($runStart, $run) : $setupEnd;
            if ($end >= Windows::NEVER) {
                return null;
            }
            $times = new self($start, $setupEnd, $runStart, $end);
            $next = $times->later($step, $setup, $run, $atLeast, $setupOpen, $runOpen)
                ?? ($crew === null || $way->crewing === null
                    ? null
                    : $times->crewLater($way, $setup, $setupOpen, $runOpen, $crew));
            if ($next === null) {
                return $times;
            }
            $start = max($start + 1, $next);
        }

        return null;
    }

    /** From when it may do; null = it does. */
    private function later(Step $step, int $setup, int $run, int $atLeast, Windows $setupOpen, Windows $runOpen): ?int
    {
        $whole = $step->unbroken && ! $step->started;
        if ($whole && $setup > 0 && $this->setupEnd - $this->start !== $setup) {
            return $setupOpen->nextOpen($setupOpen->end[$setupOpen->at($this->start)]);
        }
        if (
            $setup > 0
            && $run > 0
            && ($whole || ($step->setupWithRun && ! $step->started))
            && $this->runStart !== $this->setupEnd
        ) {
            return $setupOpen->startFor($this->runStart + 1, $setup);
        }
        if ($whole && $this->end - $this->runStart !== $run) {
            $again = $runOpen->nextOpen($runOpen->end[$runOpen->at($this->runStart)]);

            return $setup > 0 ? $setupOpen->startFor($again, $setup) : $again;
        }
        if ($this->end < $atLeast) {
            $runStart = $runOpen->startFor($atLeast, $run);

            return $setup > 0 ? $setupOpen->startFor($runStart, $setup) : $runStart;
        }

        return null;
    }

    private function crewLater(Way $way, int $setup, Windows $setupOpen, Windows $runOpen, CrewBook $crew): ?int
    {
        foreach ($this->work($way, $setupOpen, $runOpen) as [$from, $to, $number, $isRun]) {
            $until = $crew->lackingUntil($from, $to, $number, $way->crewing?->qualification);
            if ($until !== null) {
                return $isRun && $setup > 0 ? $setupOpen->startFor($until, $setup) : $until;
            }
        }

        return null;
    }

    /**
     * When how many of the crew work.
     *
     * @return list<array{int, int, int, bool}> from, to, persons, whether it is the run
     */
    public function work(Way $way, Windows $setupOpen, Windows $runOpen): array
    {
        $spans = [];
        foreach (
            [
                [$setupOpen, $this->start, $this->setupEnd, $way->crewing->setup ?? 0, false],
                [$runOpen, $this->runStart, $this->end, $way->crewing->run ?? 0, true],
            ] as [$open, $from, $to, $number, $isRun]
        ) {
            for ($i = $open->at($from); $number > 0 && $from < $to && $open->start[$i] < $to; $i++) {
                $spans[] = [max($from, $open->start[$i]), min($to, $open->end[$i]), $number, $isRun];
            }
        }

        return $spans;
    }
}
