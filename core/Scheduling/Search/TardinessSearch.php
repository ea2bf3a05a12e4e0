<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use Closure;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\Walk\Walk;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Least total weighted tardiness, anytime. First many schedules worked out (Starts) and the best few of them cooled a
 * little; then coolings that grow longer, each begun again from the best found. Repeatable by seed and iterations; a
 * time limit only cuts.
 */
final class TardinessSearch
{
    /** The best of what it begins with are cooled a little. */
    private const COOLED = 8;

    private const LITTLE = 4_000;

    private const COLD = 0.05;

    /** Moves of the first cooling: many short ones do better than few long ones. */
    private const LENGTH = 20_000;

    /** One cooling after the other so many times as hot as is usual: some shops hide their best far from all else. */
    private const HEATS = [1.0, 2.0, 4.0];

    private const HEATS_LARGE = [0.5, 1.0, 2.0];

    private const GROWTH = 1.2;

    private readonly Walk $walk;

    private readonly Starts $starts;

    private ?Found $best = null;

    private int $iterations = 0;

    /** @var callable(int, int, ?Found): bool */
    private $goOn;

    /** @var Closure(): bool */
    private readonly Closure $mayBegin;

    /**
     * @param  callable(int, int, ?Found): bool  $goOn
     * @param  callable(): bool  $mayBegin
     */
    private function __construct(
        private readonly Net $net,
        int $seed,
        callable $goOn,
        callable $mayBegin,
        Stands $stands,
    ) {
        $this->walk = new Walk($net, $seed, $stands);
        $this->goOn = $goOn;
        $this->mayBegin = $mayBegin(...);
        $this->starts = new Starts(
            $net,
            new Randomizer(new Xoshiro256StarStar($seed)),
            $stands,
            fn (array $order, array $ways): Found => $this->cool($order, $ways, 0, 1.0, 1.0),
            $this->mayBegin,
        );
    }

    /**
     * @param  int  $iterations  at most
     * @param  callable(int, int, ?Found): bool  $goOn  told the least cost, the iterations so far and the best that was
     *     kept, which may be behind the cost; false = take the best now
     * @param  (callable(): bool)|null  $mayBegin  asked before each more start: false = what was begun is enough, as a
     *     search by time asks; null = as many as its size calls for, so that iterations repeat it
     */
    public static function solve(
        Net $net,
        int $seed,
        int $iterations,
        callable $goOn,
        Stands $stands = new Stands,
        ?callable $mayBegin = null,
    ): Found {
        $started = array_keys(array_filter($net->step, static fn (Step $step): bool => $step->started));
        $stands = $stands->after(...$started);
        $self = new self($net, $seed, $goOn, $mayBegin ?? static fn (): bool => true, $stands);
        if ($stands->order !== null) {
            $self->judge($self->cool($stands->behindFixed($stands->order), $stands->ways, 0, 1.0, 1.0));
        }
        if ($net->count === 0 || ! $self->begin($iterations)) {
            return $self->found();
        }
        $self->turns($iterations);

        return $self->found();
    }

    /** One cooling after the other, each longer than the one before. */
    private function turns(int $iterations): void
    {
        $unit = $this->unit();
        $length = (float) self::LENGTH;
        for ($turn = 0; $this->iterations < $iterations; $turn++) {
            // now and then from somewhere else, if there is time to get far: or a long search stays where it is
            $hasTime = $length > 100 * $this->net->count;
            $heat = $this->heat($turn, $hasTime);
            $isFresh = $turn % 3 === 2 && $hasTime;
            [$order, $ways] = $isFresh
                ? $this->starts->fresh()
                : [$this->found()->order, $this->found()->ways];
            $moves = min((int) $length, $iterations - $this->iterations);
            $found = $this->cool($order, $ways, $moves, $heat * $unit, self::COLD * $unit);
            $this->judge($found);
            if ($found->isCut) {
                break;
            }
            $length *= self::GROWTH;
        }
    }

    /** How much hotter than usual a turn begins: turns differ where there is time for it, and in large shops. */
    private function heat(int $turn, bool $hasTime): float
    {
        $isLarge = 50 * $this->net->count > self::LENGTH;
        // with few moves for each operation there is no time to be hot
        $hot = max(1.0, min(2.0, self::LENGTH / (50 * $this->net->count)));

        return $hot * ($hasTime ? self::HEATS[$turn % 3] : ($isLarge ? self::HEATS_LARGE[$turn % 3] : 1.0));
    }

    /** @return bool whether there is time for more */
    private function begin(int $iterations): bool
    {
        $starts = [];
        foreach ($this->starts->all($this->walk->isManned()) as $found) {
            $starts[] = $found;
            $this->judge($found);
            if (! ($this->goOn)($this->found()->cost, $this->iterations, $this->best)) {
                return false;
            }
        }
        usort($starts, static fn (Found $a, Found $b): int => [$a->cost, $a->flow] <=> [$b->cost, $b->flow]);
        $unit = $this->unit();
        foreach (array_slice($starts, 0, self::COOLED) as $n => $start) {
            if ($n > 0 && ! ($this->mayBegin)()) {
                return true;
            }
            $length = min(10 * $this->net->count, self::LITTLE, $iterations - $this->iterations);
            $found = $length <= 0
                ? null
                : $this->cool($start->order, $start->ways, $length, 0.5 * $unit, 0.6 * self::COLD * $unit);
            $found === null ?: $this->judge($found);
            if ($found === null || $found->isCut) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, int>  $ways
     */
    private function cool(array $order, array $ways, int $iterations, float $hot, float $cold): Found
    {
        $best = $this->best->cost ?? PHP_INT_MAX;
        $found = $this->walk->cool(
            $order,
            $ways,
            $iterations,
            $hot,
            $cold,
            fn (int $cost, int $done): bool => ($this->goOn)(
                min($best, $cost),
                $this->iterations + $done,
                $this->best,
            ),
        );
        $this->iterations += $found->iterations;

        return $found;
    }

    /** What a walk found is kept if it is better than all before. */
    private function judge(Found $found): void
    {
        $this->best = $found->isBetterThan($this->best) ? $found : $this->best;
    }

    private function found(): Found
    {
        return new Found(
            $this->best->order ?? [],
            $this->best->cost ?? 0,
            $this->best->flow ?? 0,
            $this->iterations,
            false,
            $this->best->ways ?? [],
        );
    }

    /**
     * What one operation more or less in time is worth: the usual weight by the usual elapsed minutes of an operation.
     */
    private function unit(): float
    {
        $span = 0.0;
        foreach ($this->net->work as $x => $work) {
            $open = $this->net->centre[$x] < 0 ? null : $this->net->open[$this->net->centre[$x]];
            $span += $open === null ? 0.0 : $work * $open->stretch();
        }
        $weights = array_filter(
            array_map(static fn (Job $job): int => $job->due === null ? 0 : $job->weight, $this->net->jobs),
            static fn (int $weight): bool => $weight > 0,
        );

        return max(1.0, $span / max(1, $this->net->count) * array_sum($weights) / max(1, count($weights)));
    }
}
