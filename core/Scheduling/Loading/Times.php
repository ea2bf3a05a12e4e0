<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Loading;

use KeepPace\Core\Scheduling\Crewing;
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

    /**
     * @param  list<array{int, int, int, bool}>  $uses  when how many of the crew work: from, to, persons, whether it is
     *     the run
     */
    private function __construct(
        public int $start,
        public int $setupEnd,
        public int $runStart,
        public int $end,
        public array $uses,
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
        for ($try = 0; $try < self::TRIES; $try++) {
            $start = $setup > 0 ? $setupOpen->nextOpen($start) : $runOpen->nextOpen($start);
            $setupEnd = $setup > 0 ? $setupOpen->finish($start, $setup) : $start;
            $runStart = $run > 0 ? $runOpen->nextOpen(max($setupEnd, $ready)) : $setupEnd;
            $end = $run > 0 ? $runOpen->finish($runStart, $run) : $setupEnd;
            if ($end >= Windows::NEVER) {
                return null;
            }
            $times = [$start, $setupEnd, $runStart, $end];
            $next = $step->unbroken || $step->setupWithRun || $end < $atLeast
                ? self::later($step, $setup, $run, $atLeast, $setupOpen, $runOpen, $times)
                : null;
            $uses = $next !== null || $need === null ? [] : self::uses($need, $setupOpen, $runOpen, $times);
            $next ??= $uses === [] ? null : self::peopleFrom($uses, $need, $setup, $setupOpen, $crew);
            if ($next === null) {
                return new self(...$times, uses: $uses);
            }
            $start = max($start + 1, $next);
        }

        return null;
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

    /**
     * From when it may do; null = it does.
     *
     * @param  array{int, int, int, int}  $times  start, setup's end, start of the run, end
     */
    private static function later(
        Step $step,
        int $setup,
        int $run,
        int $atLeast,
        Windows $setupOpen,
        Windows $runOpen,
        array $times,
    ): ?int {
        [$start, $setupEnd, $runStart, $end] = $times;
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

    /**
     * From when there may be people for it; null = there are.
     *
     * @param  non-empty-list<array{int, int, int, bool}>  $uses
     */
    private static function peopleFrom(
        array $uses,
        ?Crewing $need,
        int $setup,
        Windows $setupOpen,
        ?CrewPromises $crew,
    ): ?int {
        $lack = $crew?->lack($uses, $need?->qualification);
        if ($lack === null) {
            return null;
        }
        [$until, $isRun] = $lack;

        return $isRun && $setup > 0 ? $setupOpen->startFor($until, $setup) : $until;
    }

    /**
     * @param  array{int, int, int, int}  $times  start, setup's end, start of the run, end
     * @return list<array{int, int, int, bool}> when how many of the crew work: from, to, persons, if it is the run
     */
    private static function uses(
        Crewing $need,
        Windows $setupOpen,
        Windows $runOpen,
        array $times,
    ): array {
        [$start, $setupEnd, $runStart, $end] = $times;
        $uses = [];
        if ($need->setup > 0 && $start < $setupEnd) {
            for ($i = $setupOpen->at($start); $setupOpen->start[$i] < $setupEnd; $i++) {
                $from = max($start, $setupOpen->start[$i]);
                $uses[] = [$from, min($setupEnd, $setupOpen->end[$i]), $need->setup, false];
            }
        }
        if ($need->run > 0 && $runStart < $end) {
            for ($i = $runOpen->at($runStart); $runOpen->start[$i] < $end; $i++) {
                $uses[] = [max($runStart, $runOpen->start[$i]), min($end, $runOpen->end[$i]), $need->run, true];
            }
        }

        return $uses;
    }
}
