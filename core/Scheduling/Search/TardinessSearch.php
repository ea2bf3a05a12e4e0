<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\Walk\Walk;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Least total weighted tardiness, anytime. First many dispatched schedules, with jobs made more and less urgent by
 * chance (search in the space of the problem: Storer, Wu and Vaccari, Management Science 38 (1992)), or orders put in
 * one by one where that is better; a short cooling of the best few; then coolings that grow longer, each begun again
 * from the best found. Repeatable by seed and iterations; a time limit only cuts.
 */
final class TardinessSearch
{
    /** Dispatched schedules: this many operations in all, but not more schedules than that. */
    private const DISPATCHED = 120_000;

    private const MOST_STARTS = 400;

    /** The first of them, with how far each looks ahead. */
    private const RULES = [
        [Rule::TardinessCost, 1.0],
        [Rule::TardinessCost, 2.0],
        [Rule::TardinessCost, 4.0],
        [Rule::DueDate, 0.0],
        [Rule::CriticalRatio, 0.0],
        [Rule::Shortest, 0.0],
    ];

    /** Order after order: how many times its own time, and the usual time for its weight, each comes sooner. */
    private const SOONER = [[0.5, 2.0], [0.5, 4.0], [0.5, 1.0], [1.0, 1.0], [1.0, 2.0], [0.5, 8.0], [0.5, 0.5]];

    /** The best of them are cooled a little. */
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

    private readonly Randomizer $random;

    private ?Found $best = null;

    /** Which way to dispatch made the best of the rules' schedules. */
    private bool $withPeople = true;

    /** Order after order does better than dispatching. */
    private bool $isOneByOne = false;

    private readonly OneByOne $oneByOne;

    /** @var array{float, float} which of SOONER did best */
    private array $sooner = [0.0, 1.0];

    private int $iterations = 0;

    /** @var array<int, int> by fixed operation: the way it is done in */
    private readonly array $kept;

    /** @var callable(int, int, ?Found): bool */
    private $goOn;

    /** @var callable(): bool */
    private $mayBegin;

    /**
     * @param  callable(int, int, ?Found): bool  $goOn
     * @param  callable(): bool  $mayBegin
     */
    private function __construct(
        private readonly Net $net,
        int $seed,
        callable $goOn,
        callable $mayBegin,
        private readonly Stands $stands,
    ) {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->walk = new Walk($net, $seed, $stands);
        $this->oneByOne = new OneByOne($net);
        $this->kept = $stands->kept();
        $this->goOn = $goOn;
        $this->mayBegin = $mayBegin;
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
            $self->judge($self->cool($self->behindFixed($stands->order), $stands->ways, 0, 1.0, 1.0));
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
                ? [$this->dispatch(Rule::TardinessCost, 2.0, $this->factors(null)), $this->kept]
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
        $starts = $this->dispatched();
        if ($starts === null) {
            return false;
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

    /** @return non-empty-list<Found> */
    private function byRules(): array
    {
        $starts = [];
        $least = null; // of the starts: the plan that stands may be better than all of them
        foreach ($this->net->asked === [] ? [true] : [false, true] as $withPeople) {
            foreach (self::RULES as [$rule, $look]) {
                if ($starts !== [] && ! ($this->mayBegin)()) {
                    return $starts;
                }
                $order = $this->dispatch($rule, $look, [], $withPeople);
                $starts[] = $found = $this->cool($order, $this->kept, 0, 1.0, 1.0);
                $this->judge($found);
                if ($found->isBetterThan($least)) {
                    $least = $found;
                    $this->withPeople = $withPeople;
                }
            }
        }
        foreach ($this->walk->isManned() ? self::SOONER : [] as [$bySpan, $byWeight]) {
            if (! ($this->mayBegin)()) {
                break;
            }
            $starts[] = $found = $this->started($this->oneByOne->order($bySpan, $byWeight));
            $this->judge($found);
            if ($found->isBetterThan($least)) {
                $least = $found;
                $this->isOneByOne = true;
                $this->sooner = [$bySpan, $byWeight];
            }
        }

        return $starts;
    }

    /** @return list<Found>|null null = it was told to end */
    private function dispatched(): ?array
    {
        $starts = $this->byRules();
        $bestFactors = [];
        $best = PHP_INT_MAX;
        $draws = min(self::MOST_STARTS, 20 + 2 * $this->net->count,
            intdiv(self::DISPATCHED, $this->net->count));
        for ($draw = 0; $draw < $draws; $draw++) {
            // the second half stays near the best of the first
            $factors = $this->factors($draw < $draws / 2 ? null : $bestFactors);
            $found = $this->isOneByOne
                ? $this->started($this->oneByOne->order($this->sooner[0], $this->sooner[1], $factors))
                : $this->cool(
                    $this->dispatch(Rule::TardinessCost, [1.0, 2.0, 4.0][$draw % 3], $factors),
                    $this->kept,
                    0,
                    1.0,
                    1.0,
                );
            $starts[] = $found;
            $this->judge($found);
            if ($found->cost < $best) {
                $best = $found->cost;
                $bestFactors = $factors;
            }
            if (! ($this->goOn)($this->found()->cost, $this->iterations, $this->best)) {
                return null;
            }
            if (! ($this->mayBegin)()) {
                break;
            }
        }

        return $starts;
    }

    /** @param  array{list<int>, array<int, int>}  $start  order, ways */
    private function started(array $start): Found
    {
        [$order, $ways] = $start;

        return $this->cool($this->behindFixed($order), $this->kept + $ways, 0, 1.0, 1.0);
    }

    /**
     * @param  array<int, float>  $factors
     * @return list<int>
     */
    private function dispatch(Rule $rule, float $lookAhead, array $factors, ?bool $withPeople = null): array
    {
        return $this->behindFixed(
            Dispatch::order($this->net, $rule, $lookAhead, $factors, $withPeople ?? $this->withPeople),
        );
    }

    /**
     * @param  list<int>  $order
     * @return list<int> with what is fixed in front
     */
    private function behindFixed(array $order): array
    {
        $fixed = $this->stands->fixed;

        return $fixed === [] ? $order : [...$fixed, ...array_values(array_diff($order, $fixed))];
    }

    /**
     * How much more urgent each job is made.
     *
     * @param  array<int, float>|null  $near  most of these stay
     * @return array<int, float>
     */
    private function factors(?array $near): array
    {
        return array_map(
            fn (int $job): float => $near === null || $this->random->getInt(1, 5) === 1
                ? $this->factor()
                : $near[$job] ?? 1.0,
            array_keys($this->net->jobs),
        );
    }

    /** Some 0.3 to 3, most near 1: e to a sum of six even draws, which is near enough to normal. */
    private function factor(): float
    {
        $sum = 0.0;
        for ($i = 0; $i < 6; $i++) {
            $sum += ($this->random->nextInt() & 0xFFFF) / 0x10000 - 0.5;
        }

        return exp(1.2 * $sum);
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
