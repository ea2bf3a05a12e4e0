<?php

namespace App\Queries\Board;

use App\Models\Calendar;
use Carbon\CarbonImmutable;

/** A week of a calendar as drawn: open spans of each day, in minutes after its midnight, and what makes the day differ. */
final class CalendarWeek
{
    /** @return list<array{day: CarbonImmutable, spans: list<array{int, int}>, notes: list<string>, minutes: int}> */
    public static function of(Calendar $calendar, CarbonImmutable $monday): array
    {
        $core = $calendar->toCore();
        $week = [];
        for ($i = 0; $i < 7; $i++) {
            $day = $monday->addDays($i);
            $from = intdiv($day->getTimestamp(), 60);
            $to = intdiv($day->addDay()->getTimestamp(), 60);
            $open = $core->windows($from, $to);
            $date = $day->format('Y-m-d');
            $week[] = ['day' => $day, 'spans' => array_map(fn (int $start, int $end): array => [$start - $from, $end - $from], $open->starts, $open->ends),
                'notes' => array_values($calendar->days->where('date', $date)->map(fn ($one): string => ($one->name === '' ? $one->kind : $one->name)
                    .($one->from_time === '' ? '' : " {$one->from_time}–{$one->to_time}"))->all()), 'minutes' => $open->minutesBetween($from, $to)];
        }

        return $week;
    }

    /** The spans of a weekday as they are typed: "07:00-15:30, 16:00-18:00". */
    public static function typed(Calendar $calendar, int $weekday, bool $break): string
    {
        return $calendar->shifts->where('weekday', $weekday)->where('is_break', $break)->sortBy('from_time')->map(fn ($shift): string => "{$shift->from_time}-{$shift->to_time}")->implode(', ');
    }
}
