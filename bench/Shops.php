<?php

namespace Bench;

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * One made-up shop with one feature at a time: 300 orders, some 1,050 steps, 17 machines. The orders are the same
 * whatever is added, so that costs can be compared.
 */
final class Shops
{
    public const FEATURES = [
        'plain', 'ways', 'people', 'people and ways', 'come and go', 'set up by one, run by two', 'families',
        'own hours', 'transfer', 'pins', 'oven', 'all',
    ];

    private const MACHINES = [1 => 3, 3, 2, 2, 3, 2, 2];

    private const DAYS = 120;

    private const FAMILIES = ['fine', 'coarse', 'painted'];

    private readonly Randomizer $base;

    private readonly Randomizer $more;

    private function __construct(private readonly string $feature, int $seed)
    {
        $this->base = new Randomizer(new Xoshiro256StarStar($seed));
        $this->more = new Randomizer(new Xoshiro256StarStar(1000 + $seed));
    }

    public static function made(string $feature, int $seed): Problem
    {
        return (new self($feature, $seed))->problem();
    }

    private function has(string ...$features): bool
    {
        return $this->feature === 'all' || in_array($this->feature, $features, true);
    }

    private function problem(): Problem
    {
        $open = self::days(fn (int $day): bool => $day % 7 < 5);
        $centres = $crews = [];
        foreach (self::MACHINES as $c => $machines) {
            $own = $this->has('own hours') && $machines > 1
                ? [2 => self::days(fn (int $day): bool => $day % 7 < 5 && $this->more->getInt(0, 4) > 0)]
                : [];
            $centres[$c] = new WorkCentre(
                "centre {$c}",
                $machines,
                $open,
                $own,
                $this->has('oven') && $c === 7 ? 10 : 0,
                $this->has('families') && $c <= 3 ? $this->changeovers() : null,
            );
            if ($this->isCrewed()) {
                $crews[$c] = new Crew("crew {$c}", $this->persons($machines, $open));
            }
        }

        return new Problem(0, $centres, $this->jobs(), $crews);
    }

    private function isCrewed(): bool
    {
        return $this->has('people', 'people and ways', 'come and go', 'set up by one, run by two');
    }

    /** Fewer than they could stand at machines: who needs two for a run has as many more of them. */
    private function heads(int $machines): int
    {
        return $this->has('set up by one, run by two') ? 2 * $machines - 1 : max(2, $machines - 1);
    }

    /** @return list<Person> */
    private function persons(int $machines, OpenWindows $open): array
    {
        $persons = [];
        for ($n = 0; $n < $this->heads($machines); $n++) {
            $away = $this->more->getInt(0, 3);
            $persons[] = new Person("person {$n}", $this->has('come and go')
                ? self::days(fn (int $day): bool => $day % 7 < 5 && intdiv($day, 7) % 4 !== $away)
                : $open);
        }

        return $persons;
    }

    /** @return list<Job> */
    private function jobs(): array
    {
        $jobs = [];
        $id = $pinned = 0;
        for ($j = 1; $j <= 300; $j++) {
            $steps = [];
            $count = $this->base->getInt(2, 5);
            for ($s = 0; $s < $count; $s++) {
                $mayPin = $s === 0 && $pinned < 30 && $this->has('pins') && $j % 10 === 5;
                $pinned += $mayPin ? 1 : 0;
                $steps[] = $this->step($id++, $mayPin ? 1440 * $this->base->getInt(1, 9) + 480 : null, $s < $count - 1);
            }
            $due = 1440 * $this->base->getInt(3, 26);
            $jobs[] = new Job($j, "job {$j}", $j, $due, $steps, $this->base->getInt(1, 5));
        }

        return $jobs;
    }

    private function step(int $id, ?int $pin, bool $isFollowed): Step
    {
        $centre = $this->base->getInt(1, 7);
        $minutes = $this->base->getInt(30, 240);
        $setup = $this->base->getInt(0, 30);
        $other = 1 + ($centre + $this->more->getInt(0, 5)) % 7;
        $hasOther = $this->has('ways', 'people and ways') && $pin === null && $this->more->getInt(1, 7) === 1;
        $passes = $this->has('transfer') && $isFollowed;

        return new Step(
            $id,
            $centre,
            $minutes,
            setup: $setup,
            family: $this->has('families') ? self::FAMILIES[$this->more->getInt(0, 2)] : null,
            size: $this->has('oven') ? $this->more->getInt(2, 5) : 1,
            crewing: $this->crewing($centre),
            alternatives: $hasOther
                ? [new Alternative($other, intdiv($minutes * 5, 4), $setup, $this->crewing($other))]
                : [],
            passOn: $passes ? new PassOn(intdiv($minutes, 4), 10) : null,
            pin: $pin === null ? null : new Pin($pin, 1),
        );
    }

    private function crewing(int $centre): ?Crewing
    {
        if (! $this->isCrewed()) {
            return null;
        }

        return $this->feature === 'set up by one, run by two' || ($this->feature === 'all' && $centre % 2 === 0)
            ? new Crewing($centre, 1, 2)
            : new Crewing($centre, 1, 1);
    }

    private function changeovers(): Changeovers
    {
        $minutes = [];
        foreach (self::FAMILIES as $before) {
            foreach (self::FAMILIES as $after) {
                $minutes[$before][$after] = $before === $after ? 0 : $this->more->getInt(10, 60);
            }
        }

        return new Changeovers($minutes, 20);
    }

    /** @param  callable(int): bool  $isWorked */
    private static function days(callable $isWorked): OpenWindows
    {
        $windows = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            if ($isWorked($day)) {
                $windows[] = [1440 * $day + 480, 1440 * $day + 720];
                $windows[] = [1440 * $day + 750, 1440 * $day + 990];
            }
        }

        return OpenWindows::of($windows, [], 0, 1440 * self::DAYS);
    }
}
