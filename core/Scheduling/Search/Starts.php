<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

use Closure;
use Generator;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Walk\Found;
use KeepPace\Core\Scheduling\Walk\Stands;
use Random\Randomizer;

/**
 * What a search begins with: schedules dispatched by rules and, where people are asked for, orders put in one by one;
 * then of the better kind many with jobs made more and less urgent by chance (search in the space of the problem:
 * Storer, Wu and Vaccari, Management Science 38 (1992)).
 */
final class Starts
{
    /** So many operations in all, but not more schedules than that. */
    private const OPERATIONS = 120_000;

    private const MOST = 400;

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

    private readonly OneByOne $oneByOne;

    /** @var array<int, int> by fixed operation: the way it is done in */
    private readonly array $kept;

    /** The best so far of these alone: the plan that stands may be better than all of them. */
    private ?Found $least = null;

    /** Which way to dispatch made it. */
    private bool $withPeople = true;

    /** @var array{float, float}|null which of SOONER made it; null = dispatching does better */
    private ?array $sooner = null;

    /**
     * @param  Closure(list<int>, array<int, int>): Found  $worked  what an order and its ways come to
     * @param  Closure(): bool  $mayBegin  false = what was begun is enough
     */
    public function __construct(
        private readonly Net $net,
        private readonly Randomizer $random,
        private readonly Stands $stands,
        private readonly Closure $worked,
        private readonly Closure $mayBegin,
    ) {
        $this->oneByOne = new OneByOne($net);
        $this->kept = $stands->kept();
    }

    /**
     * @param  bool  $isManned  people are asked for: orders are tried one by one as well
     * @return Generator<int, Found> each when it is made; what is made later goes by what was best before
     */
    public function all(bool $isManned): Generator
    {
        foreach ($this->byRules() as $found) {
            yield $found;
        }
        foreach ($isManned ? $this->inOrder() : [] as $found) {
            yield $found;
        }
        foreach ($this->drawn() as $found) {
            yield $found;
        }
    }

    /** @return array{list<int>, array<int, int>} order, ways: from somewhere else */
    public function fresh(): array
    {
        return [$this->dispatched(Rule::TardinessCost, 2.0, $this->factors(null)), $this->kept];
    }

    /** @return Generator<int, Found> */
    private function byRules(): Generator
    {
        foreach ($this->net->asked === [] ? [true] : [false, true] as $withPeople) {
            foreach (self::RULES as [$rule, $look]) {
                if ($this->least !== null && ! ($this->mayBegin)()) {
                    return;
                }
                $found = ($this->worked)($this->dispatched($rule, $look, [], $withPeople), $this->kept);
                if ($found->isBetterThan($this->least)) {
                    $this->least = $found;
                    $this->withPeople = $withPeople;
                }
                yield $found;
            }
        }
    }

    /** @return Generator<int, Found> */
    private function inOrder(): Generator
    {
        foreach (self::SOONER as [$bySpan, $byWeight]) {
            if (! ($this->mayBegin)()) {
                return;
            }
            $found = $this->oneByOne($bySpan, $byWeight);
            if ($found->isBetterThan($this->least)) {
                $this->least = $found;
                $this->sooner = [$bySpan, $byWeight];
            }
            yield $found;
        }
    }

    /** @return Generator<int, Found> */
    private function drawn(): Generator
    {
        $near = [];
        $best = PHP_INT_MAX;
        $draws = min(self::MOST, 20 + 2 * $this->net->count, intdiv(self::OPERATIONS, $this->net->count));
        for ($draw = 0; $draw < $draws; $draw++) {
            // the second half stays near the best of the first
            $factors = $this->factors($draw < $draws / 2 ? null : $near);
            $found = $this->sooner !== null
                ? $this->oneByOne($this->sooner[0], $this->sooner[1], $factors)
                : ($this->worked)(
                    $this->dispatched(Rule::TardinessCost, [1.0, 2.0, 4.0][$draw % 3], $factors),
                    $this->kept,
                );
            if ($found->cost < $best) {
                $best = $found->cost;
                $near = $factors;
            }
            yield $found;
            if (! ($this->mayBegin)()) {
                return;
            }
        }
    }

    /** @param  array<int, float>  $factors */
    private function oneByOne(float $bySpan, float $byWeight, array $factors = []): Found
    {
        [$order, $ways] = $this->oneByOne->order($bySpan, $byWeight, $factors);

        return ($this->worked)($this->stands->behindFixed($order), $this->kept + $ways);
    }

    /**
     * @param  array<int, float>  $factors
     * @return list<int>
     */
    private function dispatched(Rule $rule, float $lookAhead, array $factors, ?bool $withPeople = null): array
    {
        return $this->stands->behindFixed(
            Dispatch::order($this->net, $rule, $lookAhead, $factors, $withPeople ?? $this->withPeople),
        );
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
}
