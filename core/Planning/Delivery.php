<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use DateTimeImmutable;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Calendar\WorkingCalendar;

/**
 * From the day something is ordered to the minute it can be used, and back.
 *
 * The day of ordering is day 0. Then come the supplier's working days, in his calendar; the days on the way and our
 * days for inspection, in ours. Goods can be used from the next opening after the day they are free, or, where the
 * shop says so, from an hour of that day on.
 */
final readonly class Delivery
{
    /** Days looked at for a working one: a calendar may have none. */
    private const FAR = 730;

    /**
     * @param  WorkingCalendar  $ours  the plant's
     * @param  WorkingCalendar  $theirs  the supplier's; the plant's where his is not known
     * @param  OpenWindows  $open  of the plant, looked up over the days in question
     * @param  int  $leadTimeDays  the supplier's working days, 0 or more
     * @param  int  $transportDays  0 or more
     * @param  int  $inspectionDays  0 or more
     * @param  string|null  $usableFrom  "HH:MM" of the day they are free; null = the next opening after that day
     */
    public function __construct(
        private WorkingCalendar $ours,
        private WorkingCalendar $theirs,
        private OpenWindows $open,
        private int $leadTimeDays,
        private int $transportDays = 0,
        private int $inspectionDays = 0,
        private ?string $usableFrom = null,
    ) {
    }

    /**
     * The day it comes when it is ordered on a date.
     *
     * @param  string  $orderedOn "YYYY-MM-DD"
     */
    public function comesOn(string $orderedOn): string
    {
        $leaves = $this->theirs->workingDaysFrom($orderedOn, $this->leadTimeDays);

        return $this->onWorkingDay($this->ours->workingDaysFrom($leaves, $this->transportDays), 1);
    }

    /** The UTC minute from which it can be used when it comes on a date. */
    public function usableAt(string $comesOn): int
    {
        return $this->freeAt($this->ours->workingDaysFrom($comesOn, $this->inspectionDays));
    }

    /** The last of our working days on which it can be ordered to be usable by a minute. */
    public function orderBy(int $neededAt): string
    {
        $left = $this->ours->workingDaysFrom(
            $this->ours->date($neededAt),
            -$this->inspectionDays - $this->transportDays,
        );
        $day = $this->onWorkingDay($this->theirs->workingDaysFrom($left, -$this->leadTimeDays), -1);
        for ($i = 0; $i < self::FAR && $this->orderedOn($day) > $neededAt; $i++) {
            $day = $this->onWorkingDay($this->dayBefore($day), -1);
        }
        // several days can come to the same: the last of them
        for ($i = 0; $i < self::FAR; $i++) {
            $next = $this->onWorkingDay($this->dayAfter($day), 1);
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
        return $this->usableAt($this->comesOn($day));
    }

    private function freeAt(string $day): int
    {
        if ($this->usableFrom !== null) {
            return $this->ours->minute($day, $this->usableFrom);
        }
        $midnight = $this->ours->minute($this->dayAfter($day), '00:00');

        return $this->open->nextOpen($midnight) ?? $midnight;
    }

    private function onWorkingDay(string $day, int $step): string
    {
        for ($i = 0; $i < self::FAR && ! $this->ours->isWorkingDay($day); $i++) {
            $day = $step < 0 ? $this->dayBefore($day) : $this->dayAfter($day);
        }

        return $day;
    }

    private function dayBefore(string $day): string
    {
        return (new DateTimeImmutable($day))->modify('-1 day')->format('Y-m-d');
    }

    private function dayAfter(string $day): string
    {
        return (new DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d');
    }
}
