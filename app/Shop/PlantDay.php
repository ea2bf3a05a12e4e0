<?php

namespace App\Shop;

use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Facades\Cache;
use KeepPace\Core\Calendar\WorkingCalendar;

/**
 * The day of the plant: the shift that runs, and how long it works on a day of its usual week, which lateness is
 * counted in. Every page says one of them: kept for a minute, calendars change seldom, and read once a request.
 */
final class PlantDay
{
    private const BREAK = 60; // minutes: a gap this short between two windows is a break

    private const KEPT_SECONDS = 60;

    /** @var array{shift: string, minutes: int}|null */
    private ?array $day = null;

    /** "shift until 15:30", "closed until Mon 07:00"; '' where no calendar was entered */
    public static function shift(): string
    {
        return app(self::class)->day()['shift'];
    }

    /** Minutes of work in a day. */
    public static function minutes(): int
    {
        return app(self::class)->day()['minutes'];
    }

    /**
     * How far behind or ahead of its due time.
     *
     * @param  int  $late  minutes the plant works; below zero: ahead
     */
    public static function pace(int $late): string
    {
        return Figures::pace($late, self::minutes());
    }

    /** @return array{shift: string, minutes: int} */
    private function day(): array
    {
        if ($this->day === null) {
            $kept = Cache::remember('plant-day', self::KEPT_SECONDS, self::read(...));
            [$shift, $minutes] = is_array($kept) ? [$kept['shift'] ?? null, $kept['minutes'] ?? null] : [null, null];
            $this->day = is_string($shift) && is_int($minutes)
                ? ['shift' => $shift, 'minutes' => $minutes]
                : self::read();
        }

        return $this->day;
    }

    /** @return array{shift: string, minutes: int} */
    private static function read(): array
    {
        $plant = PlantCalendar::known();

        return [
            'shift' => self::shiftAt(intdiv(now()->getTimestamp(), 60), $plant),
            'minutes' => $plant?->usualDay() ?? 1440,
        ];
    }

    private static function shiftAt(int $minute, ?WorkingCalendar $plant): string
    {
        $windows = $plant?->windows($minute - 1440, $minute + 14 * 1440);
        if ($windows === null) {
            return '';
        }
        foreach ($windows->ends as $i => $end) {
            if ($end <= $minute) {
                continue;
            }
            $start = $windows->starts[$i];
            if ($start > $minute) {
                $lastEnd = $i > 0 ? $windows->ends[$i - 1] : 0;

                return ($start - $lastEnd <= self::BREAK ? 'break until ' : 'closed until ')
                    .(When::day($start) === 'today' ? '' : When::day($start).' ')
                    .When::local($start)->format('H:i');
            }
            // breaks do not end a shift
            while (isset($windows->starts[$i + 1]) && $windows->starts[$i + 1] - $windows->ends[$i] <= self::BREAK) {
                $i++;
            }

            return 'shift until '.When::local($windows->ends[$i])->format('H:i');
        }

        return '';
    }
}
