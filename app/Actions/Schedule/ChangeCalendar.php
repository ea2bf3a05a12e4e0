<?php

namespace App\Actions\Schedule;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\ProductChanges;
use App\Actions\Bookings\Said;
use App\Actions\Bookings\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Calendar;
use App\Models\Plan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/**
 * Changes the week of a calendar and the days that differ from it. What it was and is stays with the booking.
 *
 * @phpstan-type Span array{weekday: int, from: string, to: string, break: bool}
 * @phpstan-type Day array{date: string, kind: string, from: string, to: string, name: string}
 */
final class ChangeCalendar
{
    public function __construct(private readonly Bookings $bookings, private readonly AskEffect $ask)
    {
    }

    /**
     * @param  list<Span>|null  $week  the whole week; null = as it is
     * @param  list<Day>  $add  days that differ
     * @param  list<int>  $remove  ids of days that no longer do
     * @param  bool  $anyway  even if steps lose all open time
     *
     * @throws Refused
     */
    public function handle(
        int $calendarId,
        ?array $week,
        array $add,
        array $remove,
        bool $anyway,
        Signed $signed,
    ): Booking {
        if (! $anyway && ($lost = $this->effect($calendarId, $week, $add, $remove)->lost) !== []) {
            throw Refused::because(
                'It would leave no open time: '
                    .implode(' ', array_slice($lost, 0, 5))
                    .' Keep it all the same, or leave time open.',
                'anyway',
            );
        }

        return $this->bookings->once(BookingKind::CalendarChanged, $signed, function (Ledger $ledger) use (
            $calendarId,
            $week,
            $add,
            $remove,
        ): void {
            Plan::lockLive();
            $before = CalendarTrail::state($calendarId);
            self::write($calendarId, $week, $add, $remove);
            $after = CalendarTrail::state($calendarId);
            if ($before === $after) {
                throw Refused::because('Nothing differs from what the calendar says already.');
            }
            $code = Calendar::query()->findOrFail($calendarId)->code;
            $changes = new ProductChanges($ledger->booking->id);
            CalendarTrail::between($changes, $calendarId, $code, $before, $after);
            $changes->write();
            $parts = array_filter([
                $week !== null && $before['week'] !== $after['week'] ? 'its week' : '',
                $add === []
                    ? ''
                    : count($add)
                        .' '
                        .(count($add) === 1 ? 'day' : 'days')
                        .' added ('
                        .implode(
                            ', ',
                            array_slice(
                                array_map(
                                    fn (array $day): string => Said::day($day['date'])
                                        .($day['name'] === '' ? '' : " {$day['name']}"),
                                    $add,
                                ),
                                0,
                                3,
                            ),
                        )
                        .(count($add) > 3 ? ' …' : '')
                        .')',
                $remove === [] ? '' : count($remove).' '.(count($remove) === 1 ? 'day' : 'days').' taken out',
            ]);
            $ledger->says("Calendar {$code} changed: ".implode(', ', $parts).'.');
        });
    }

    /**
     * What the change would do, without doing it.
     *
     * @param  list<Span>|null  $week
     * @param  list<Day>  $add
     * @param  list<int>  $remove
     *
     * @throws Refused when the change makes no sense
     */
    public function effect(int $calendarId, ?array $week, array $add, array $remove): Effect
    {
        return $this->ask->of(fn () => self::write($calendarId, $week, $add, $remove));
    }

    /**
     * @param  list<Span>|null  $week
     * @param  list<Day>  $add
     * @param  list<int>  $remove
     */
    private static function write(int $calendarId, ?array $week, array $add, array $remove): void
    {
        Plan::lockLive();
        Calendar::query()->findOrFail($calendarId);
        if ($week !== null) {
            self::assertWeek($week);
            DB::table('shifts')->where('calendar_id', $calendarId)->delete();
            DB::table('shifts')->insert(
                array_map(
                    fn (array $span): array => [
                        'calendar_id' => $calendarId,
                        'weekday' => $span['weekday'],
                        'from_time' => $span['from'],
                        'to_time' => $span['to'],
                        'is_break' => $span['break'],
                    ],
                    $week,
                ),
            );
        }
        DB::table('calendar_days')->where('calendar_id', $calendarId)->whereIn('id', $remove)->delete();
        foreach ($add as $day) {
            if ($day['kind'] === 'overtime' && $day['from'] === '') {
                throw Refused::because('Overtime needs a time from and a time to.', 'from');
            }
            if (($day['from'] === '') !== ($day['to'] === '')) {
                throw Refused::because('Type both times, or none for the whole day.', 'to');
            }
            DB::table('calendar_days')->upsert(
                [
                    [
                        'calendar_id' => $calendarId,
                        'date' => $day['date'],
                        'kind' => $day['kind'],
                        'from_time' => $day['from'],
                        'to_time' => $day['to'],
                        'name' => $day['name'],
                    ],
                ],
                ['calendar_id', 'date', 'kind', 'from_time'],
            );
        }
    }

    /** @param  list<Span>  $week */
    private static function assertWeek(array $week): void
    {
        if (array_filter($week, fn (array $span): bool => ! $span['break']) === []) {
            throw Refused::because(
                'The week has no shift left. To close a work centre for a while, add closed days.',
                'week',
            );
        }
        $minutes = fn (string $time): int => 60 * (int) substr($time, 0, 2) + (int) substr($time, 3, 2);
        foreach ([true, false] as $break) {
            $spans = [];
            foreach ($week as $span) {
                if ($span['break'] === $break) {
                    $from = ($span['weekday'] - 1) * 1440 + $minutes($span['from']);
                    $length = $minutes($span['to']) - $minutes($span['from']);
                    $spans[] = [$from, $from + ($length <= 0 ? $length + 1440 : $length), $span];
                }
            }
            sort($spans);
            foreach ($spans as $i => [$from, , $span]) {
                if ($i > 0 && $spans[$i - 1][1] > $from) {
                    throw Refused::because(
                        ($break ? 'Two breaks' : 'Two shifts')
                            .' overlap: '
                            .$spans[$i - 1][2]['from']
                            .'–'
                            .$spans[$i - 1][2]['to']
                            ." and {$span['from']}–{$span['to']}.",
                        "week.{$span['weekday']}",
                    );
                }
            }
        }
    }
}
