<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Lever;

use KeepPace\Core\Scheduling\Schedule;

/** What a lever does: the shop as it is, and the shop with the lever, as LeverTrials tried them. */
final readonly class LeverEffect
{
    /**
     * @param  int|null  $finish  of the order, without the lever
     * @param  int|null  $finishWith  with it; null = it has no place
     * @param  int  $late  weighted minutes late of all orders, without the lever
     */
    public function __construct(
        public ?int $finish,
        public ?int $finishWith,
        public int $late,
        public int $lateWith,
        public Schedule $schedule,
    ) {
    }
}
