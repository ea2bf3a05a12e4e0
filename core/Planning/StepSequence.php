<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use KeepPace\Core\Structure\PhantomUse;

/**
 * The steps of an order where phantoms give theirs: those of a phantom come before the step it is used at. The
 * product's own keep their numbers; the others are numbered between.
 */
final readonly class StepSequence
{
    /** @param  list<SequencedStep>  $steps  in the order they are done in */
    private function __construct(public array $steps)
    {
    }

    /**
     * @param  list<int>  $own  numbers of the product's steps, ascending
     * @param  list<PhantomUse>  $phantoms
     * @param  array<array-key, list<int>>  $steps  numbers of the phantoms' steps, ascending, by item
     *
     * @throws OrderRefused where there is no room between two numbers
     */
    public static function of(array $own, array $phantoms, array $steps): self
    {
        $giving = array_filter($phantoms, static fn (PhantomUse $one): bool => ($steps[$one->item] ?? []) !== []);
        $sequence = $waiting = [];
        $before = 0;
        foreach (self::ordered(null, $own, $giving, $steps) as $place) {
            if ($place[0] !== null) {
                $waiting[] = $place;

                continue;
            }
            array_push($sequence, ...self::between($before, $place[1], $waiting));
            $sequence[] = new SequencedStep(null, $place[1], $place[1]);
            [$before, $waiting] = [$place[1], []];
        }
        foreach ($waiting as $i => [$use, $number]) {
            $sequence[] = new SequencedStep($use, $number, ($i + 1) * 10); // the product has no step of its own
        }

        return new self($sequence);
    }

    /** The number in the order of the step a line is used at; null = the order has no step. */
    public function at(?PhantomUse $use, ?int $step): ?int
    {
        $mine = array_values(array_filter(
            $this->steps,
            static fn (SequencedStep $one): bool => $one->use === $use,
        ));
        if ($mine === []) {
            return $use === null ? $step ?? $this->steps[0]->as ?? null : $this->at($use->within, $use->step);
        }
        $as = array_column($mine, 'as', 'number');

        // a step its routing does not have, of an older structure: as it was said
        return $step === null ? $mine[0]->as : $as[$step] ?? ($use === null ? $step : $mine[0]->as);
    }

    /**
     * @param  list<int>  $numbers  of the steps of what uses them
     * @param  array<PhantomUse>  $giving
     * @param  array<array-key, list<int>>  $steps
     * @return list<array{PhantomUse|null, int}>
     */
    private static function ordered(?PhantomUse $of, array $numbers, array $giving, array $steps): array
    {
        $before = [];
        foreach ($giving as $use) {
            [$parent, $step] = self::place($use, $steps);
            if ($parent === $of) {
                $home = $step !== null && in_array($step, $numbers, true) ? $step : $numbers[0] ?? 0;
                $before[$home][] = self::ordered($use, $steps[$use->item], $giving, $steps);
            }
        }
        $all = array_merge(...$before[0] ?? []);
        foreach ($numbers as $number) {
            array_push($all, ...array_merge(...$before[$number] ?? []));
            $all[] = [$of, $number];
        }

        return $all;
    }

    /**
     * Where a phantom is used: in the next around it that has steps.
     *
     * @param  array<array-key, list<int>>  $steps
     * @return array{PhantomUse|null, int|null}
     */
    private static function place(PhantomUse $use, array $steps): array
    {
        [$parent, $step] = [$use->within, $use->step];
        while ($parent !== null && ($steps[$parent->item] ?? []) === []) {
            [$parent, $step] = [$parent->within, $parent->step];
        }

        return [$parent, $step];
    }

    /**
     * @param  list<array{PhantomUse|null, int}>  $waiting
     * @return list<SequencedStep>
     *
     * @throws OrderRefused
     */
    private static function between(int $before, int $next, array $waiting): array
    {
        $count = count($waiting);
        $gap = $next - $before;
        if ($gap <= $count) {
            throw OrderRefused::noRoomBefore($next, $gap - 1, $count);
        }
        $steps = [];
        foreach ($waiting as $i => [$use, $number]) {
            $steps[] = new SequencedStep($use, $number, $before + intdiv($gap * ($i + 1), $count + 1));
        }

        return $steps;
    }
}
