<?php

namespace App\Books;

use Illuminate\Database\Query\Builder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/** Days nothing is booked on any more. What is entered later goes into the open period. */
final class Periods
{
    /**
     * Between two tries of a closing, and how often it tries: a booking under way takes some hundredths of a second.
     */
    private const PAUSE = 50_000;

    private const TRIES = 20;

    /**
     * Takes the lock and gives the day a booking counts for.
     *
     * @param  string|null  $asked  a day a person typed; null = today
     *
     * @throws Refused when it lies ahead, or in a closed period; when the books cannot be closed just now
     */
    public static function begin(PeriodLock $lock, ?string $asked): string
    {
        match ($lock) {
            PeriodLock::First => self::row()->sharedLock()->first(),
            PeriodLock::Last => null,
            PeriodLock::Closing => self::alone(),
        };

        return self::dayFor($asked);
    }

    /**
     * Takes the lock at the end of a deed that ran for long.
     *
     * @throws Refused when the books were closed meanwhile
     */
    public static function assertStillOpen(string $day, ?string $asked): void
    {
        if (self::begin(PeriodLock::First, $asked) !== $day) {
            throw Refused::because('The books were closed while it ran. Start it once more: nothing was written.');
        }
    }

    /** @throws Refused */
    private static function alone(): void
    {
        for ($try = 1; $try <= self::TRIES; $try++) {
            try {
                self::row()->lock('for update nowait')->first();

                return;
            } catch (QueryException $taken) {
                if (($taken->errorInfo[1] ?? 0) !== 1205) {
                    throw $taken;
                }
                usleep(self::PAUSE);
            }
        }
        throw Refused::because(
            DB::table('imports')->where('state', 'running')->exists()
                ? 'An import is running. Close the period when it is done.'
                : 'Bookings are under way just now. Try again in a moment.',
            'ends_on',
        );
    }

    private static function row(): Builder
    {
        return DB::table('numberings')->where('code', 'period');
    }

    /**
     * The day a booking counts for.
     *
     * @param  string|null  $asked  a day a person typed; null = today
     *
     * @throws Refused when it lies ahead, or in a closed period
     */
    private static function dayFor(?string $asked): string
    {
        $today = now(config()->string('pace.zone'))->toDateString();
        $last = DB::table('periods')->max('ends_on');
        $closed = is_string($last) ? $last : null;
        if ($asked === null || $asked === $today) {
            return $closed !== null && $closed >= $today
                ? (new \DateTimeImmutable($closed))->modify('+1 day')->format('Y-m-d')
                : $today;
        }
        if ($asked > $today) {
            throw Refused::because("{$asked} is still ahead. Book it on the day it happens.", 'booked_on');
        }
        if ($closed !== null && $asked <= $closed) {
            throw Refused::because(
                'The books are closed up to '
                    .Said::day($closed)
                    .". Book it on a later day; it is told by its 'entered at'.",
                'booked_on',
            );
        }

        return $asked;
    }
}
