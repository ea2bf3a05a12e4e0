<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Calendar;
use App\Models\Plan;
use App\Planner\AskEffect;
use App\Planner\Effect;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\PlanRefused;

/**
 * Changes the week of a calendar and the days that differ from it. What it was and is stays with the booking.
 *
 * @phpstan-import-type Span from CalendarEdit
 * @phpstan-import-type Day from CalendarEdit
 */
final class ChangeCalendar
{
    public function __construct(private readonly Bookings $bookings, private readonly AskEffect $ask)
    {
    }

    /**
     * @param  bool  $anyway  even if steps lose all open time
     *
     * @throws Refused
     */
    public function handle(int $calendarId, CalendarEdit $edit, bool $anyway, Signed $signed): Booking
    {
        if (! $anyway && ($lost = $this->effect($calendarId, $edit)->lost) !== []) {
            throw PlanRefused::noOpenTime($lost);
        }

        return $this->bookings->once(BookingKind::CalendarChanged, $signed, Part::writing(
            function (Ledger $ledger) use (
                $calendarId,
                $edit,
            ): void {
                Plan::lockLive();
                $before = CalendarTrail::state($calendarId);
                self::write($calendarId, $edit);
                $after = CalendarTrail::state($calendarId);
                if ($before === $after) {
                    throw Refused::because('Nothing differs from what the calendar says already.');
                }
                $code = Calendar::query()->findOrFail($calendarId)->code;
                $changes = new ProductChanges($ledger->booking->id);
                CalendarTrail::between($changes, $calendarId, $code, $before, $after);
                $changes->write();
                $weekDiffers = $edit->week !== null && $before['week'] !== $after['week'];
                $ledger->says("Calendar {$code} changed: {$edit->says($weekDiffers)}.");
            },
        ));
    }

    /**
     * What the change would do, without doing it.
     *
     * @throws Refused when the change makes no sense
     */
    public function effect(int $calendarId, CalendarEdit $edit): Effect
    {
        return $this->ask->of(fn () => self::write($calendarId, $edit));
    }

    private static function write(int $calendarId, CalendarEdit $edit): void
    {
        Plan::lockLive();
        Calendar::query()->findOrFail($calendarId);
        if ($edit->week !== null) {
            self::writeWeek($calendarId, $edit->week);
        }
        DB::table('calendar_days')->where('calendar_id', $calendarId)->whereIn('id', $edit->remove)->delete();
        foreach ($edit->add as $day) {
            self::writeDay($calendarId, $day);
        }
    }

    /** @param  list<Span>  $week */
    private static function writeWeek(int $calendarId, array $week): void
    {
        self::assertWeek($week);
        $rows = array_map(
            fn (array $span): array => [
                'calendar_id' => $calendarId,
                'weekday' => $span['weekday'],
                'from_time' => $span['from'],
                'to_time' => $span['to'],
                'is_break' => $span['break'],
            ],
            $week,
        );
        DB::table('shifts')->where('calendar_id', $calendarId)->delete();
        DB::table('shifts')->insert($rows);
    }

    /** @param  Day  $day */
    private static function writeDay(int $calendarId, array $day): void
    {
        if ($day['kind'] === 'overtime' && $day['from'] === '') {
            throw Refused::because('Overtime needs a time from and a time to.', 'from');
        }
        if (($day['from'] === '') !== ($day['to'] === '')) {
            throw Refused::because('Type both times, or none for the whole day.', 'to');
        }
        $row = [
            'calendar_id' => $calendarId,
            'date' => $day['date'],
            'kind' => $day['kind'],
            'from_time' => $day['from'],
            'to_time' => $day['to'],
            'name' => $day['name'],
        ];
        DB::table('calendar_days')->upsert([$row], ['calendar_id', 'date', 'kind', 'from_time']);
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
