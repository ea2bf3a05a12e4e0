<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

use DateTimeImmutable;
use DateTimeZone;

/**
 * The week of a work centre or the plant, with its holidays and overtime, on the plant's wall clock.
 * Windows come out in whole UTC minutes since 1970, so a night with the clock change is as long as it is.
 */
final readonly class WorkingCalendar
{
    private const MOST_DAYS = 4000;

    private DateTimeZone $zone;

    /**
     * @param  list<Shift>  $shifts  work and breaks
     * @param  list<DayException>  $exceptions
     */
    public function __construct(string $zone, private array $shifts, private array $exceptions = [])
    {
        $this->zone = new DateTimeZone($zone);
    }

    /**
     * Open time in [$from, $to), both UTC minutes. No more than some ten years are looked up: behind that nothing is
     * open, whatever slip of the finger asked for it.
     */
    public function windows(int $from, int $to): OpenWindows
    {
        $to = min($to, $from + self::MOST_DAYS * 1440);
        // A shift may begin on the day before the span and reach into it.
        $day = $this->local($from)->modify('-1 day')->setTime(0, 0);
        $end = $this->local($to);
        [$open, $shut, $closed] = $this->exceptionsBetween($day->format('Y-m-d'), $end->format('Y-m-d'));
        $week = $this->weekOfMinutes();
        [$today, $tomorrow] = [$day->getOffset(), $day->modify('+1 day')->getOffset()];
        for (; $day <= $end; $day = $next) {
            $next = $day->modify('+1 day');
            // without a clock change today or tomorrow the times of a day are its minutes
            $after = $next->modify('+1 day')->getOffset();
            $plain = $today === $after;
            [$today, $tomorrow] = [$tomorrow, $after];
            $date = $day->format('Y-m-d');
            if (isset($closed[$date])) {
                continue;
            }
            $midnight = intdiv($day->getTimestamp(), 60);
            foreach ($week[(int) $day->format('N')] ?? [] as [$opens, $shuts, $isBreak, $shift]) {
                $span = $plain
                    ? [$midnight + $opens, $midnight + $shuts]
                    : $this->span($date, $shift->from, $shift->to);
                $isBreak ? ($shut[] = $span) : ($open[] = $span);
            }
        }

        return OpenWindows::of($open, $shut, $from, $to);
    }

    /**
     * What differs on the days between two, both among them.
     *
     * @return array{list<array{int, int}>, list<array{int, int}>, array<string, true>} minutes open, minutes shut, and
     *     the days closed whole
     */
    private function exceptionsBetween(string $first, string $last): array
    {
        $open = $shut = $closed = [];
        foreach ($this->exceptions as $exception) {
            if ($exception->date < $first || $exception->date > $last) {
                continue;
            }
            if ($exception->from === null || $exception->to === null) {
                $closed[$exception->date] = true;

                continue;
            }
            $span = $this->span($exception->date, $exception->from, $exception->to);
            $exception->open ? ($open[] = $span) : ($shut[] = $span);
        }

        return [$open, $shut, $closed];
    }

    /** The end of the shift that runs at a minute, its breaks among it; null when none does: closed, or overtime. */
    public function shiftEnd(int $minute): ?int
    {
        $last = null;
        foreach ([-1, 0] as $ahead) {
            $day = $this->local($minute)->setTime(0, 0)->modify("{$ahead} day");
            $date = $day->format('Y-m-d');
            if ($this->isClosed($date)) {
                continue;
            }
            foreach ($this->shifts as $shift) {
                [$from, $to] = $this->span($date, $shift->from, $shift->to);
                if (
                    ! $shift->isBreak
                    && $shift->weekday === (int) $day->format('N')
                    && $from <= $minute
                    && $minute < $to
                ) {
                    $last = max($last ?? $to, $to);
                }
            }
        }

        return $last;
    }

    /**
     * Working days as a whole, from midnight to midnight: what days of somebody whose hours nobody knows are counted
     * in. A day on which the clocks change has an hour more or less.
     *
     * @param  int  $from  UTC minute; no more than some ten years from it are looked up
     */
    public function wholeDays(int $from, int $to): OpenWindows
    {
        $to = min($to, $from + self::MOST_DAYS * 1440);
        $open = [];
        for ($day = $this->local($from)->setTime(0, 0); $day <= $this->local($to); $day = $next) {
            $next = $day->modify('+1 day');
            if ($this->isWorkingDay($day->format('Y-m-d'))) {
                $open[] = [intdiv($day->getTimestamp(), 60), intdiv($next->getTimestamp(), 60)];
            }
        }

        return OpenWindows::of($open, [], $from, $to);
    }

    /**
     * How long work goes on in one of the days of its week that are worked, on average, breaks not counted.
     *
     * @return int minutes; a whole day when no day is worked
     */
    public function usualDay(): int
    {
        $days = array_unique(array_map(
            static fn (Shift $shift): int => $shift->weekday,
            array_filter($this->shifts, static fn (Shift $shift): bool => ! $shift->isBreak),
        ));
        if ($days === []) {
            return 1440;
        }
        $monday = 11 * 1440; // 12 January 1970, in UTC: of a week in which no clock changes
        $week = (new self('UTC', $this->shifts))->windows($monday, $monday + 7 * 1440);

        return max(1, intdiv($week->minutesBetween($monday, $monday + 7 * 1440), count($days)));
    }

    private function isClosed(string $date): bool
    {
        foreach ($this->exceptions as $exception) {
            if ($exception->date === $date && ! $exception->open && $exception->from === null) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether work is done on a date: a shift or overtime begins on it.
     *
     * @param  string  $date "YYYY-MM-DD"
     */
    public function isWorkingDay(string $date): bool
    {
        if ($this->hasOvertime($date)) {
            return true;
        }
        if ($this->isClosed($date)) {
            return false;
        }
        $weekday = Day::weekday($date);
        foreach ($this->shifts as $shift) {
            if (! $shift->isBreak && $shift->weekday === $weekday) {
                return true;
            }
        }

        return false;
    }

    /**
     * The date a number of working days before (negative) or after a date; 0 gives the date itself.
     * Looks two years far; a calendar without working days gives the date it was asked for.
     */
    public function workingDaysFrom(string $date, int $days): string
    {
        $day = $date;
        $left = abs($days);
        for ($i = 0; $left > 0 && $i < 730; $i++) {
            $day = $days < 0 ? Day::before($day) : Day::after($day);
            if ($this->isWorkingDay($day)) {
                $left--;
            }
        }

        return $left > 0 ? $date : $day;
    }

    /** Working days from one date to another, the first not counted; negative when it lies before. */
    public function workingDaysBetween(string $from, string $to): int
    {
        $days = 0;
        for ($day = min($from, $to); $day < max($from, $to);) {
            $day = Day::after($day);
            $days += $this->isWorkingDay($day) ? 1 : 0;
        }

        return $to < $from ? -$days : $days;
    }

    /** The date a UTC minute falls on, "YYYY-MM-DD". */
    public function date(int $minute): string
    {
        return $this->local($minute)->format('Y-m-d');
    }

    /**
     * UTC minute of a wall-clock time.
     *
     * @param  string  $time "HH:MM"
     */
    public function minute(string $date, string $time): int
    {
        return intdiv((new DateTimeImmutable("{$date} {$time}", $this->zone))->getTimestamp(), 60);
    }

    /**
     * @return array<int, list<array{int, int, bool, Shift}>> by weekday: minutes after midnight, past 1440 where it
     *     goes over
     */
    private function weekOfMinutes(): array
    {
        $week = [];
        foreach ($this->shifts as $shift) {
            $from = 60 * (int) substr($shift->from, 0, 2) + (int) substr($shift->from, 3, 2);
            $to = 60 * (int) substr($shift->to, 0, 2) + (int) substr($shift->to, 3, 2);
            $week[$shift->weekday][] = [$from, $to <= $from ? $to + 1440 : $to, $shift->isBreak, $shift];
        }

        return $week;
    }

    private function hasOvertime(string $date): bool
    {
        foreach ($this->exceptions as $exception) {
            if ($exception->date === $date && $exception->open) {
                return true;
            }
        }

        return false;
    }

    /** @return array{int, int} */
    private function span(string $date, string $from, string $to): array
    {
        $until = $to <= $from ? Day::after($date) : $date;

        return [$this->minute($date, $from), $this->minute($until, $to)];
    }

    private function local(int $minute): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$minute * 60))->setTimezone($this->zone);
    }
}
