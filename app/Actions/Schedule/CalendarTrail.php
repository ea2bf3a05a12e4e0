<?php

namespace App\Actions\Schedule;

use App\Books\ProductChanges;
use App\Reading\Row;
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
            ->select(['weekday', 'from_time', 'to_time', 'is_break']);
        $days = DB::table('calendar_days')
            ->where('calendar_id', $calendarId)
            ->orderBy('kind')
            ->orderBy('from_time')
            ->select(['date', 'kind', 'from_time', 'to_time', 'name']);
        $state = ['week' => [], 'days' => []];
        foreach (Row::all($week, fn (Row $row): Row => $row) as $shift) {
            $break = $shift->flag('is_break') ? 'break ' : '';
            $state['week'][$shift->int('weekday')][] = $break.self::span($shift);
        }
        foreach (Row::all($days, fn (Row $row): Row => $row) as $day) {
            $span = $day->text('from_time') === '' ? '' : ' '.self::span($day);
            $state['days'][$day->text('date')][] = trim("{$day->text('kind')}{$span} {$day->text('name')}");
        }

        return [
            'week' => array_map(fn (array $parts): string => implode(', ', $parts), $state['week']),
            'days' => array_map(fn (array $parts): string => implode(', ', $parts), $state['days']),
        ];
    }

    private static function span(Row $open): string
    {
        return "{$open->text('from_time')}-{$open->text('to_time')}";
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
