<?php

namespace App\Queries\Board;

use App\Models\Calendar;
use App\Models\CalendarDay;
use Carbon\CarbonImmutable;

/** A week of a calendar: as it is drawn, and as it is typed. */
final class CalendarWeek
{
    /** @return list<DrawnDay> Monday to Sunday */
    public static function of(Calendar $calendar, CarbonImmutable $monday): array
    {
        $core = $calendar->toCore();
        $week = [];
        for ($i = 0; $i < 7; $i++) {
            $day = $monday->addDays($i);
            $from = intdiv($day->getTimestamp(), 60);
            $to = intdiv($day->addDay()->getTimestamp(), 60);
            $open = $core->windows($from, $to);
            $week[] = new DrawnDay(
                $day,
                array_map(
                    fn (int $start, int $end): array => [$start - $from, $end - $from],
                    $open->starts,
                    $open->ends,
                ),
                self::notes($calendar, $day->format('Y-m-d')),
                $open->minutesBetween($from, $to),
            );
        }

        return $week;
    }

    /** The spans of a weekday as they are typed: "07:00-15:30, 16:00-18:00". */
    public static function typed(Calendar $calendar, int $weekday, bool $break): string
    {
        return $calendar->shifts
            ->where('weekday', $weekday)
            ->where('is_break', $break)
            ->sortBy('from_time')
            ->map(fn ($shift): string => "{$shift->from_time}-{$shift->to_time}")
            ->implode(', ');
    }

    /** @return list<string> */
    private static function notes(Calendar $calendar, string $date): array
    {
        return array_values($calendar->days
            ->where('date', $date)
            ->map(fn (CalendarDay $day): string => trim(($day->name ?: $day->kind).' '.$day->span()))
            ->all());
    }
}
