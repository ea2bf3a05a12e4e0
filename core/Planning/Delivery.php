<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Closure;
use KeepPace\Core\Calendar\Day;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Calendar\WorkingCalendar;

/**
 * From the day something is ordered to the minute it can be used, and back.
 *
 * The day of ordering, one on which the supplier takes orders, is day 0. Then come his working days, in his calendar;
 * the days on the way and our days for inspection, in ours. It comes on a day on which he delivers and we work. Goods
 * can be used from the next opening after the day they are free, or, where the shop says so, from an hour of that day.
 */
final class Delivery
{
    /** Days looked at for the right one: a calendar may have none. */
    private const FAR = 730;

    /** @var array<string, int> minute it can be used, by the day it is ordered: asked for again and again */
    private array $orderedOn = [];

    /**
     * @param  WorkingCalendar  $ours  the plant's
     * @param  SupplierDays  $theirs  the supplier's
     * @param  OpenWindows  $open  of the plant, looked up over the days in question
     * @param  int  $leadTimeDays  the supplier's working days, 0 or more
     * @param  int  $inspectionDays  0 or more
     * @param  string|null  $usableFrom  "HH:MM" of the day they are free; null = the next opening after that day
     */
    public function __construct(
        private readonly WorkingCalendar $ours,
        private readonly SupplierDays $theirs,
        private readonly OpenWindows $open,
        private readonly int $leadTimeDays,
        private readonly int $inspectionDays = 0,
        private readonly ?string $usableFrom = null,
    ) {
    }

    /**
     * The day it comes when it is ordered on a date.
     *
     * @param  string  $orderedOn "YYYY-MM-DD"
     */
    public function comesOn(string $orderedOn): string
    {
        $taken = $this->onDay($orderedOn, 1, $this->theirs->takesOrdersOn(...));
        $leaves = $this->theirs->calendar->workingDaysFrom($taken, $this->leadTimeDays);

        return $this->onDay(
            $this->ours->workingDaysFrom($leaves, $this->theirs->transport),
            1,
            fn (string $day): bool => $this->ours->isWorkingDay($day) && $this->theirs->deliversOn($day),
        );
    }

    /** The UTC minute from which it can be used when it comes on a date. */
    public function usableAt(string $comesOn): int
    {
        return $this->freeAt($this->ours->workingDaysFrom($comesOn, $this->inspectionDays));
    }

    /** The last of our working days, on which he takes orders, to order it to be usable by a minute. */
    public function orderBy(int $neededAt): string
    {
        $left = $this->ours->workingDaysFrom(
            $this->ours->date($neededAt),
            -$this->inspectionDays - $this->theirs->transport,
        );
        $can = fn (string $day): bool => $this->ours->isWorkingDay($day) && $this->theirs->takesOrdersOn($day);
        $day = $this->onDay($this->theirs->calendar->workingDaysFrom($left, -$this->leadTimeDays), -1, $can);
        for ($i = 0; $i < self::FAR && $this->orderedOn($day) > $neededAt; $i++) {
            $day = $this->onDay(Day::before($day), -1, $can);
        }
        // several days can come to the same: the last of them
        for ($i = 0; $i < self::FAR; $i++) {
            $next = $this->onDay(Day::after($day), 1, $can);
            if ($this->orderedOn($next) > $neededAt) {
                break;
            }
            $day = $next;
        }

        return $day;
    }

    /** The UTC minute from which it can be used when it is ordered on a date. */
    public function orderedOn(string $day): int
    {
        return $this->orderedOn[$day] ??= $this->usableAt($this->comesOn($day));
    }

    private function freeAt(string $day): int
    {
        if ($this->usableFrom !== null) {
            return $this->ours->minute($day, $this->usableFrom);
        }
        $midnight = $this->ours->minute(Day::after($day), '00:00');

        return $this->open->nextOpen($midnight) ?? $midnight;
    }

    /**
     * The nearest day that is right, itself or one before (-1) or after (1).
     *
     * @param  Closure(string): bool  $isRight
     */
    private function onDay(string $day, int $step, Closure $isRight): string
    {
        for ($i = 0; $i < self::FAR && ! $isRight($day); $i++) {
            $day = $step < 0 ? Day::before($day) : Day::after($day);
        }

        return $day;
    }
}
