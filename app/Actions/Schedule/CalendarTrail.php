<?php

namespace App\Actions\Schedule;

use App\Books\ProductChanges;
use Illuminate\Support\Facades\DB;

/**
 * What a deed, of the page or of a file, made of a calendar: each weekday and each day that differs, before and after.
 * A state is in words, by weekday and by date.
 *
 * @phpstan-type State array{week: array<int, string>, days: array<string, string>}
 */
final class CalendarTrail
{
    private const WEEKDAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    /** @return State */
    public static function state(int $calendarId): array
    {
        $week = DB::table('shifts')
            ->where('calendar_id', $calendarId)
            ->orderBy('is_break')
            ->orderBy('from_time')
            ->get(['weekday', 'from_time', 'to_time', 'is_break']);
        $days = DB::table('calendar_days')
            ->where('calendar_id', $calendarId)
            ->orderBy('kind')
            ->orderBy('from_time')
            ->get(['date', 'kind', 'from_time', 'to_time', 'name']);

        return self::words($week->all(), $days->all());
    }

    /**
     * @param  array<array-key, \stdClass>  $week  weekday, from_time, to_time, is_break
     * @param  array<array-key, \stdClass>  $days  date, kind, from_time, to_time, name
     * @return State
     */
    public static function words(array $week, array $days): array
    {
        $state = ['week' => [], 'days' => []];
        foreach ($week as $shift) {
            $state['week'][(int) $shift->weekday][] =
                ($shift->is_break ? 'break ' : '')."{$shift->from_time}-{$shift->to_time}";
        }
        foreach ($days as $day) {
            $span = $day->from_time === '' ? '' : " {$day->from_time}-{$day->to_time}";
            $state['days'][(string) $day->date][] = trim("{$day->kind}{$span} {$day->name}");
        }

        return [
            'week' => array_map(fn (array $parts): string => implode(', ', $parts), $state['week']),
            'days' => array_map(fn (array $parts): string => implode(', ', $parts), $state['days']),
        ];
    }

    /**
     * @param  State  $before
     * @param  State  $after
     */
    public static function between(ProductChanges $changes, int $id, string $code, array $before, array $after): void
    {
        foreach (self::WEEKDAYS as $weekday => $name) {
            self::field($changes, $id, $code, $name, $before['week'][$weekday] ?? '', $after['week'][$weekday] ?? '');
        }
        $dates = array_unique([...array_keys($before['days']), ...array_keys($after['days'])]);
        sort($dates);
        foreach ($dates as $date) {
            self::field($changes, $id, $code, $date, $before['days'][$date] ?? '', $after['days'][$date] ?? '');
        }
    }

    private static function field(
        ProductChanges $changes,
        int $id,
        string $code,
        string $field,
        string $before,
        string $after,
    ): void {
        if ($before !== $after) {
            $changes->field('calendars', $id, $code, $field, $before, $after);
        }
    }
}
