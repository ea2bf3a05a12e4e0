<?php

namespace App\Shop;

use KeepPace\Core\Scheduling\Lever\LeverEffect;

/** A lever that was tried on the plan, and what it does to its order and to all. */
final readonly class LeverOffer
{
    /**
     * @param  int|null  $finish  UTC minute of its order without the lever; null = it has no place
     * @param  int|null  $finishWith  UTC minute
     * @param  int  $late  weighted minutes late of all orders, without the lever
     */
    private function __construct(
        public PlanLever $lever,
        public ?int $finish,
        public ?int $finishWith,
        public int $late,
        public int $lateWith,
    ) {
    }

    public static function of(PlanLever $lever, LeverEffect $effect): self
    {
        return new self($lever, $effect->finish, $effect->finishWith, $effect->late, $effect->lateWith);
    }

    public function isSooner(): bool
    {
        return ($this->finishWith ?? PHP_INT_MAX) < ($this->finish ?? PHP_INT_MAX);
    }

    /**
     * What helps the order most goes first; where that is the same, what helps all the others.
     *
     * @param  int  $due  UTC minute
     * @return array{int, int, int}
     */
    public function place(int $due): array
    {
        $finish = $this->finishWith ?? PHP_INT_MAX;

        return [max(0, $finish - $due), $this->lateWith, $finish];
    }
}
