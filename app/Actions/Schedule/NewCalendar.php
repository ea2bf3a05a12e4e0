<?php

namespace App\Actions\Schedule;

use App\Actions\Product\NewCode;
use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\ProductChanges;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Calendar;
use App\Models\Shift;
use KeepPace\Core\Refused;

/** Enters a calendar; it begins with the week of another, the first of all with five days of eight hours. */
final class NewCalendar
{
    private const FROM = '07:00';

    private const TO = '15:00';

    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int|null  $like  calendar whose week it begins with; null = there is none yet
     *
     * @throws Refused beside the code
     */
    public function handle(string $code, ?int $like, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($code, $like): void {
                $new = NewCode::of($code, 'code');
                $new->assertFree(Calendar::query()->firstWhere('code_key', $new->key())?->code);
                $calendar = $new->enter(fn (): Calendar => Calendar::query()->create(['code' => $new->typed]));
                $week = self::week($calendar, $like);
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field('calendars', $calendar->id, $calendar->code, 'calendar', '', $week);
                $changes->write();
                $ledger->says("Calendar {$calendar->code} entered, {$week}.");
            },
        ));
    }

    /** @return string in words */
    private static function week(Calendar $calendar, ?int $like): string
    {
        $source = $like === null ? null : Calendar::query()->with('shifts')->findOrFail($like);
        foreach ($source === null ? self::fiveDays() : $source->shifts as $shift) {
            $shift = $shift->replicate();
            $shift->calendar_id = $calendar->id;
            $shift->save();
        }

        return $source === null ? 'Monday to Friday, '.self::FROM.' to '.self::TO : "with the week of {$source->code}";
    }

    /** @return list<Shift> */
    private static function fiveDays(): array
    {
        return array_map(fn (int $day): Shift => new Shift([
            'weekday' => $day,
            'from_time' => self::FROM,
            'to_time' => self::TO,
            'is_break' => false,
        ]), range(1, 5));
    }
}
