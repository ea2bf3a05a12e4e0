<?php

namespace App\Shop;

use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;

/** The shop's clock: the time, and the shift that is running or when work goes on. */
final readonly class ShopClock
{
    private const BREAK = 60; // minutes: a gap this short between two windows is a break

    private function __construct(public CarbonImmutable $now, public string $shift)
    {
    }

    public static function now(): self
    {
        $now = CarbonImmutable::now();
        // on every page, so kept for a minute; calendars change seldom
        $shift = Cache::remember('shop-shift', 60, fn (): string => self::shift(intdiv($now->getTimestamp(), 60)));

        return new self(When::local($now), is_string($shift) ? $shift : '');
    }

    private static function shift(int $minute): string
    {
        $windows = PlantCalendar::known()
            ?->windows($minute - 1440, $minute + 14 * 1440);
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
