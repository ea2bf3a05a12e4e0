<?php

namespace App\Actions\Bookings;

use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Days nothing is booked on any more. What is entered later goes into the open period. */
final class Periods
{
    /** Last closed day; null = none. Read with a lock that a closing waits for. */
    public static function closedUntil(): ?string
    {
        DB::table('numberings')->where('code', 'period')->sharedLock()->first();
        $day = DB::table('periods')->max('ends_on');

        return is_string($day) ? $day : null;
    }

    /**
     * The day a booking counts for.
     *
     * @param  string|null  $asked  a day a person typed; null = today
     *
     * @throws Refused when it lies ahead, or in a closed period
     */
    public static function dayFor(?string $asked): string
    {
        $today = now(config()->string('pace.zone'))->toDateString();
        $closed = self::closedUntil();
        if ($asked === null || $asked === $today) {
            return $closed !== null && $closed >= $today ? (new \DateTimeImmutable($closed))->modify('+1 day')->format('Y-m-d') : $today;
        }
        if ($asked > $today) {
            throw Refused::because("{$asked} is still ahead. Book it on the day it happens.", 'booked_on');
        }
        if ($closed !== null && $asked <= $closed) {
            throw Refused::because('The books are closed up to '.Said::day($closed).". Book it on a later day; it is told by its 'entered at'.", 'booked_on');
        }

        return $asked;
    }
}
