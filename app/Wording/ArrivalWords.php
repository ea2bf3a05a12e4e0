<?php

namespace App\Wording;

use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Expected;

/** When something can be used, and what that rests on: an assumption is never said as a date somebody gave. */
final class ArrivalWords
{
    /** "can be used from Tue if ordered today" */
    public static function ifOrdered(Arrival $arrival): string
    {
        $day = When::onDay($arrival->at);

        return $arrival->rests === Expected::NoLeadTime
            ? "to be used {$day} if ordered today; its lead time is not known"
            : "to be used {$day} if ordered today";
    }

    /** "Thu", "was due Tue, taken for Thu" */
    public static function day(Arrival $arrival): string
    {
        return $arrival->isLate()
            ? 'was due '.When::day($arrival->given).', taken for '.When::day($arrival->on ?? $arrival->at)
            : When::day($arrival->on ?? $arrival->at);
    }

    /**
     * "first said for Tue, passed 2 times"; nothing where no day has passed.
     *
     * @param  string  $first  day or time
     */
    public static function history(string $first, int $passed): string
    {
        return match ($passed) {
            0 => '',
            1 => 'first said for '.When::day($first).', passed once',
            default => 'first said for '.When::day($first).", passed {$passed} times",
        };
    }

    /**
     * "order by Wed 9 Dec", "order today", "5 working days too late".
     *
     * @param  string  $by  the last day on which it keeps its date
     * @param  int  $workingDays  from that day to today
     */
    public static function orderBy(string $by, string $today, int $workingDays): string
    {
        return match (true) {
            $by > $today => 'order by '.When::day($by),
            $by === $today => 'order today',
            default => Figures::count(max(1, $workingDays), 'working day').' too late',
        };
    }

    /**
     * "has to be ordered by Wed 9 Dec".
     *
     * @param  string|null  $by  the last day on which it keeps all dates
     */
    public static function hasToBeOrdered(?string $by, string $today): string
    {
        return match (true) {
            $by === null => 'holds up no date',
            $by < $today => 'should have been ordered by '.When::day($by),
            $by === $today => 'has to be ordered today',
            default => 'has to be ordered by '.When::day($by),
        };
    }

    /** "until Thu", "until about Thu, due Tue" for something that is ordered; nothing where nobody knows. */
    public static function until(?Arrival $arrival): string
    {
        if ($arrival === null) {
            return '';
        }
        $day = When::day($arrival->at);

        return $arrival->rests === Expected::Overdue
            ? " until about {$day}, was due ".When::day($arrival->given)
            : " until {$day}";
    }

    /** Of what nothing is ordered for. */
    public static function missing(?Arrival $arrival): string
    {
        return $arrival === null ? '' : ' ('.self::ifOrdered($arrival).')';
    }
}
