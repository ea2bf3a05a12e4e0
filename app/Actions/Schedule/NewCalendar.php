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

/** Enters a calendar; it begins with the week of another. */
final class NewCalendar
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $like  calendar whose week it begins with
     *
     * @throws Refused beside the code
     */
    public function handle(string $code, int $like, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::ProductData, $signed, Part::writing(
            function (Ledger $ledger) use ($code, $like): void {
                $new = NewCode::of($code, 'code');
                $new->assertFree(Calendar::query()->firstWhere('code_key', $new->key())?->code);
                $source = Calendar::query()->with('shifts')->findOrFail($like);
                $calendar = $new->enter(fn (): Calendar => Calendar::query()->create(['code' => $new->typed]));
                foreach ($source->shifts as $shift) {
                    Shift::query()->create([
                        ...$shift->only(['weekday', 'from_time', 'to_time', 'is_break']),
                        'calendar_id' => $calendar->id,
                    ]);
                }
                $changes = new ProductChanges($ledger->booking->id);
                $changes->field('calendars', $calendar->id, $calendar->code, 'calendar', '', "like {$source->code}");
                $changes->write();
                $ledger->says("Calendar {$calendar->code} entered, with the week of {$source->code}.");
            },
        ));
    }
}
