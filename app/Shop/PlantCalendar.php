<?php

namespace App\Shop;

use App\Models\Calendar;
use App\Settings\Setting;
use App\Settings\Settings;
use KeepPace\Core\Calendar\Shift;
use KeepPace\Core\Calendar\WorkingCalendar;

/** The calendar working days are counted by: the one the shop set, else the first that was entered. */
final class PlantCalendar
{
    public static function row(): ?Calendar
    {
        return Calendar::query()
            ->with(['shifts', 'days'])
            ->orderByRaw('code = ? DESC', [Settings::text(Setting::PlantCalendar)])
            ->orderBy('id')
            ->first();
    }

    /** null = no calendar was entered yet */
    public static function known(): ?WorkingCalendar
    {
        return self::row()?->toCore();
    }

    /** A plant without a calendar works every day, round the clock. */
    public static function orEveryDay(): WorkingCalendar
    {
        return self::known() ?? new WorkingCalendar(
            config()->string('pace.zone'),
            array_map(fn (int $day): Shift => new Shift($day, '00:00', '00:00'), range(1, 7)),
        );
    }
}
