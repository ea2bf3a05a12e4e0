<?php

namespace App\Wording;

use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;

/** Times and dates as people say them, on the plant's clock. */
final class When
{
    /**
     * "today 14:30", "Thu 09:10", "3 Dec"
     *
     * @param  DateTimeInterface|string|int|null  $time UTC, or a UTC minute
     */
    public static function say(DateTimeInterface|string|int|null $time): string
    {
        if ($time === null || $time === '') {
            return '–';
        }
        [$date, $clock] = self::parts($time);
        $near = self::near($date);

        return $near === null ? self::date($date) : "{$near} {$clock}";
    }

    /** "today 14:30", "3 Dec 09:10": with its time however far away, where days alone would not be told apart. */
    public static function exact(DateTimeInterface|string|int|null $time): string
    {
        if ($time === null || $time === '') {
            return '–';
        }
        [$date, $clock] = self::parts($time);

        return (self::near($date) ?? self::date($date))." {$clock}";
    }

    /** "today", "Thu", "3 Dec" for a date of the plant. */
    public static function day(DateTimeInterface|string|int|null $date): string
    {
        if ($date === null || $date === '') {
            return '–';
        }
        $date = is_string($date) && strlen($date) === 10 ? $date : self::parts($date)[0];

        return self::near($date) ?? self::date($date);
    }

    /**
     * The whole of a date: "Fri 4 Dec 2026".
     *
     * @param  string  $date "YYYY-MM-DD"
     */
    public static function dayOf(string $date): string
    {
        return (new DateTimeImmutable($date))->format('D j M Y');
    }

    /** "today", "on Thu", "on 3 Dec" */
    public static function onDay(DateTimeInterface|string|int $date): string
    {
        $day = self::day($date);

        return in_array($day, ['today', 'tomorrow', 'yesterday'], true) ? $day : "on {$day}";
    }

    /** "Thu 08:41 to 09:30", "1 Dec 14:00 to 2 Dec 09:10" for a span of work. */
    public static function span(DateTimeInterface|string|int $from, DateTimeInterface|string|int $to): string
    {
        [[$first, $begun], [$last, $ended]] = [self::parts($from), self::parts($to)];

        return (self::near($first) ?? self::date($first))." {$begun} to ".($first === $last ? ''
            : (self::near($last) ?? self::date($last)).' ').$ended;
    }

    /** The whole of it, for titles: "Tue 24 Nov 2026, 14:30". */
    public static function full(DateTimeInterface|string|int $time): string
    {
        return self::local($time)->format('D j M Y, H:i');
    }

    /** "just now", "3h ago", "2d ago"; after a week the day: "26 Oct" says more than "1mo ago". */
    public static function ago(DateTimeInterface|string|null $time): string
    {
        if ($time === null) {
            return 'never';
        }
        $then = self::local($time);

        return match (true) {
            abs($then->diffInSeconds(CarbonImmutable::now())) < 60 => 'just now',
            abs($then->diffInDays(CarbonImmutable::now())) < 7 => $then->diffForHumans(['short' => true]),
            default => self::day($time),
        };
    }

    public static function local(DateTimeInterface|string|int $time): CarbonImmutable
    {
        return (is_int($time) ? CarbonImmutable::createFromTimestamp($time * 60) : CarbonImmutable::parse($time, 'UTC'))
            ->setTimezone(self::zone());
    }

    public static function today(): CarbonImmutable
    {
        return CarbonImmutable::now(self::zone())->startOfDay();
    }

    public static function zone(): string
    {
        return config()->string('pace.zone');
    }

    /**
     * The word for a day near today.
     *
     * @param  string  $date "YYYY-MM-DD"
     */
    private static function near(string $date): ?string
    {
        static $words = [];
        $today = CarbonImmutable::hasTestNow() ? self::today()->format('Y-m-d') : self::parts(intdiv(time(), 60))[0];
        if (! isset($words[$today])) {
            $words = [$today => []];
            foreach (range(-1, 6) as $days) {
                $day = new DateTimeImmutable("{$today} {$days} days");
                $words[$today][$day->format('Y-m-d')] = match ($days) {
                    -1 => 'yesterday', 0 => 'today', 1 => 'tomorrow', default => $day->format('D'),
                };
            }
        }

        return $words[$today][$date] ?? null;
    }

    private static function date(string $date): string
    {
        static $said = [];

        return $said[$date] ??= (new DateTimeImmutable($date))
            ->format(str_starts_with($date, self::today()->format('Y')) ? 'j M' : 'j M Y');
    }

    /**
     * Date and time on the plant's clock. A board asks for thousands, so a day's offset is looked up once;
     * only on a day on which the clock changes is each time asked for.
     *
     * @return array{string, string} "YYYY-MM-DD", "HH:MM"
     */
    private static function parts(DateTimeInterface|string|int $time): array
    {
        static $offsets = [];
        static $zone = null;
        $seconds = match (true) {
            is_int($time) => $time * 60,
            is_string($time) => (int) strtotime("{$time} UTC"),
            default => $time->getTimestamp(),
        };
        $zone ??= new DateTimeZone(self::zone());
        $day = intdiv($seconds, 86400);
        $offsets[$day] ??= [self::offset($zone, $day * 86400), self::offset($zone, ($day + 1) * 86400)];
        $offset = $offsets[$day][0] === $offsets[$day][1] ? $offsets[$day][0] : self::offset($zone, $seconds);

        return [gmdate('Y-m-d', $seconds + $offset), gmdate('H:i', $seconds + $offset)];
    }

    private static function offset(DateTimeZone $zone, int $seconds): int
    {
        return $zone->getOffset(new DateTimeImmutable("@{$seconds}"));
    }
}
