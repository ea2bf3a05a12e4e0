<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Net\Way;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Step;

/**
 * The earliest time a step can be worked on a machine that stands empty: setup while machine and setup crew are there,
 * run while machine and run crew are there, and all that may not be. It is not changed, but not readonly either: that
 * doubles the time to make one, and a search makes millions.
 */
final class Times
{
    /** A step that still does not fit after so many starts does not fit. */
    private const TRIES = 20_000;

    /** @var list<int> when how many of the crew work, each a CrewUse */
    public array $uses = [];

    private function __construct(
        public int $start,
        public int $setupEnd,
        public int $runStart,
        public int $end,
    ) {
    }

    /**
     * @param  int  $setup  open minutes, changeover included
     * @param  int  $from  the machine is free
     * @param  int  $ready  material and the steps before are there
     * @param  int  $atLeast  it must not end before
     * @param  Windows  $setupOpen  machine and setup crew
     * @param  Windows  $runOpen  machine and run crew
     * @param  CrewPromises|null  $crew  whom else the crew is promised to
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
        ?CrewPromises $crew,
    ): ?self {
        $need = $way->crewing;
        $run = max($way->run, $setup === 0 ? 1 : 0);
        $start = self::first($step, $setup, $from, $ready, $setupOpen, $runOpen);
        $isBound = $step->unbroken || $step->setupWithRun;
        for ($try = 0; $try < self::TRIES; $try++) {
            $times = self::begunAt($start, $setup, $run, $ready, $setupOpen, $runOpen);
            if ($times->end >= Windows::NEVER) {
                return null;
            }
            $next = $isBound || $times->end < $atLeast
                ? $times->later($step, $setup, $run, $atLeast, $setupOpen, $runOpen)
                : null;
            if ($next === null && $need !== null && $crew !== null) {
                $next = $times->peopleFrom($need, $crew, $setupOpen, $runOpen, $setup);
            }
            if ($next === null) {
                $times->uses = $need === null ? [] : $times->uses($need, $setupOpen, $runOpen);

                return $times;
            }
            $start = max($times->start + 1, $next);
        }

        return null;
    }

    /** Setup from the next minute on that may be, then the run, whatever else may not be. */
    private static function begunAt(
        int $start,
        int $setup,
        int $run,
        int $ready,
        Windows $setupOpen,
        Windows $runOpen,
    ): self {
        if ($setup > 0) {
            [$start, $setupEnd] = $setupOpen->span($start, $setup);
        } else {
            $setupEnd = $start = $runOpen->nextOpen($start);
        }
        if ($run <= 0) {
            return new self($start, $setupEnd, $setupEnd, $setupEnd);
        }
        [$runStart, $end] = $runOpen->span($setupEnd > $ready ? $setupEnd : $ready, $run);

        return new self($start, $setupEnd, $runStart, $end);
    }

    /** The first minute it is worth trying: setup may go ahead of the material. */
    public static function first(
        Step $step,
        int $setup,
        int $from,
        int $ready,
        Windows $setupOpen,
        Windows $runOpen,
    ): int {
        return max($from, $setup > 0 && ! $step->setupNeedsMaterial
            ? $setupOpen->startFor($runOpen->nextOpen($ready), $setup)
            : $ready);
    }

    /** From when it may do; null = it does. */
    private function later(
        Step $step,
        int $setup,
        int $run,
        int $atLeast,
        Windows $setupOpen,
        Windows $runOpen,
    ): ?int {
        $start = $this->start;
        $setupEnd = $this->setupEnd;
        $runStart = $this->runStart;
        $end = $this->end;
        $whole = $step->unbroken && ! $step->started;
        if ($whole && $setup > 0 && $setupEnd - $start !== $setup) {
            return $setupOpen->nextOpen($setupOpen->end[$setupOpen->at($start)]);
        }
        if (
            $setup > 0
            && $run > 0
            && ($whole || ($step->setupWithRun && ! $step->started))
            && $runStart !== $setupEnd
        ) {
            $again = $setupOpen->startFor($runStart, $setup);

            return $again > $start ? $again : $setupOpen->startFor($runStart + 1, $setup);
        }
        if ($whole && $end - $runStart !== $run) {
            $again = $runOpen->nextOpen($runOpen->end[$runOpen->at($runStart)]);

            return $setup > 0 ? $setupOpen->startFor($again, $setup) : $again;
        }
        if ($end < $atLeast) {
            $next = $runOpen->startFor($atLeast, $run);

            return $setup > 0 ? $setupOpen->startFor($next, $setup) : $next;
        }

        return null;
    }

    /** From when there may be people for it; null = there are. */
    private function peopleFrom(
        Crewing $need,
        CrewPromises $crew,
        Windows $setupOpen,
        Windows $runOpen,
        int $setup,
    ): ?int {
        if ($need->setup > 0 && $this->start < $this->setupEnd) {
            $end = $this->setupEnd;
            for ($from = $this->start, $i = $setupOpen->at($from); $from < $end; $from = $setupOpen->start[++$i]) {
                $to = min($end, $setupOpen->end[$i]);
                $until = $crew->lackingUntil($from, $to, $need->setup, $need->qualification);
                if ($until >= 0) {
                    return $until;
                }
            }
        }
        if ($need->run > 0 && $this->runStart < $this->end) {
            $end = $this->end;
            for ($from = $this->runStart, $i = $runOpen->at($from); $from < $end; $from = $runOpen->start[++$i]) {
                $to = min($end, $runOpen->end[$i]);
                $until = $crew->lackingUntil($from, $to, $need->run, $need->qualification);
                if ($until >= 0) {
                    return $setup > 0 ? $setupOpen->startFor($until, $setup) : $until;
                }
            }
        }

        return null;
    }

    /** @return list<int> when how many of the crew work, each a CrewUse */
    private function uses(Crewing $need, Windows $setupOpen, Windows $runOpen): array
    {
        $uses = [];
        if ($need->setup > 0 && $this->start < $this->setupEnd) {
            $end = $this->setupEnd;
            for ($from = $this->start, $i = $setupOpen->at($from); $from < $end; $from = $setupOpen->start[++$i]) {
                $uses[] = CrewUse::of($from, min($end, $setupOpen->end[$i]), $need->setup);
            }
        }
        if ($need->run > 0 && $this->runStart < $this->end) {
            $end = $this->end;
            for ($from = $this->runStart, $i = $runOpen->at($from); $from < $end; $from = $runOpen->start[++$i]) {
                $uses[] = CrewUse::of($from, min($end, $runOpen->end[$i]), $need->run);
            }
        }

        return $uses;
    }
}
