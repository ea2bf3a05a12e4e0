<?php

declare(strict_types=1);

namespace KeepPace\Core\Calendar;

use DateTimeImmutable;
use KeepPace\Core\Refused;

/**
 * A day as people type it: "4.12.", "4/12/26", "4 Dec", "fri", "+3", "+2w", "2026-12-04", "Fri 4 Dec 2026".
 *
 * Without a year it is the day nearest to today; a weekday is the next one after today; of two figures the first is the
 * day. What cannot be meant is asked about, not taken.
 */
final readonly class TypedDay
{
    private const WEEKDAYS = ['mon' => 1, 'tue' => 2, 'wed' => 3, 'thu' => 4, 'fri' => 5, 'sat' => 6, 'sun' => 7];

    private const MONTHS = [
        'jan' => 1, 'feb' => 2, 'mar' => 3, 'apr' => 4, 'may' => 5, 'jun' => 6,
        'jul' => 7, 'aug' => 8, 'sep' => 9, 'oct' => 10, 'nov' => 11, 'dec' => 12,
    ];

    /** @param  string  $today  "YYYY-MM-DD"; so are the first and the last day that can be meant */
    public function __construct(private string $today, private string $first, private string $last)
    {
    }

    /**
     * @return string "YYYY-MM-DD".
     *
     * @throws Refused
     */
    public function read(string $typed): string
    {
        return $this->find($typed)
            ?? throw Refused::because("'{$typed}' is no day. Type such as 4.12., fri, +3 or 2026-12-04.");
    }

    /**
     * @return string|null "YYYY-MM-DD"; null = it is written as no day is
     *
     * @throws Refused
     */
    public function find(string $typed): ?string
    {
        $text = mb_strtolower(trim($typed));
        $day = $this->near($text) ?? $this->date($typed, $text);
        if ($day === null) {
            return null;
        }
        if ($day < $this->first || $day > $this->last) {
            throw Refused::because('Is '.self::say($day).' meant? A day here lies between '
                .self::say($this->first).' and '.self::say($this->last).'.');
        }

        return $day;
    }

    /** Counted from today. */
    private function near(string $text): ?string
    {
        $days = ['today' => 0, 'tomorrow' => 1, 'yesterday' => -1][$text] ?? null;
        if ($days === null && preg_match('/^\+\s*(\d{1,4})\s*([dw]?)$/D', $text, $is) === 1) {
            $days = (int) $is[1] * ($is[2] === 'w' ? 7 : 1);
        }
        $weekday = preg_match('/^[a-z]{2,9}$/D', $text) === 1 ? self::named(self::WEEKDAYS, $text) : null;
        if ($weekday !== null) {
            $ahead = ($weekday - (int) $this->day()->format('N') + 7) % 7;
            $days = $ahead === 0 ? 7 : $ahead;
        }

        return $days === null ? null : $this->day()->modify("{$days} days")->format('Y-m-d');
    }

    private function date(string $typed, string $text): ?string
    {
        // the weekday people read before a date adds nothing to it
        $text = (string) preg_replace('/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*[.,]?\s+/', '', $text);
        if (preg_match('/^(\d{4})-(\d{1,2})-(\d{1,2})$/D', $text, $is) === 1) {
            return self::there($typed, $is[1], (int) $is[2], (int) $is[3]);
        }
        if (preg_match('#^(\d{1,2})\s*[./]\s*(\d{1,2})\s*[./]?\s*(\d{4}|\d{2})?$#D', $text, $is) === 1) {
            return $this->inYear($typed, (int) $is[1], (int) $is[2], $is[3] ?? '');
        }
        if (preg_match('/^(\d{1,2})\.?\s*([a-z]{3,9})\.?\s*(\d{4}|\d{2})?$/D', $text, $is) === 1) {
            $month = self::named(self::MONTHS, $is[2]);

            return $month === null ? null : $this->inYear($typed, (int) $is[1], $month, $is[3] ?? '');
        }

        return null;
    }

    private function inYear(string $typed, int $day, int $month, string $year): string
    {
        if ($year !== '') {
            return self::there($typed, strlen($year) === 2 ? "20{$year}" : $year, $month, $day);
        }
        $thisYear = (int) $this->day()->format('Y');
        $near = [];
        foreach ([$thisYear - 1, $thisYear, $thisYear + 1] as $one) {
            if (checkdate($month, $day, $one)) {
                $date = self::there($typed, (string) $one, $month, $day);
                $near[$date] = abs($this->day()->diff(new DateTimeImmutable($date))->days);
            }
        }
        asort($near);

        return array_key_first($near) ?? self::there($typed, (string) $thisYear, $month, $day);
    }

    /** @throws Refused when no calendar has it */
    private static function there(string $typed, string $year, int $month, int $day): string
    {
        if ((int) $year < 1 || ! checkdate($month, $day, (int) $year)) {
            throw Refused::because("'{$typed}' is in no calendar.");
        }

        return sprintf('%04d-%02d-%02d', $year, $month, $day);
    }

    /** @param  array<string, int>  $names  by their first three letters */
    private static function named(array $names, string $text): ?int
    {
        $found = array_filter(
            $names,
            static fn (string $name): bool => str_starts_with($text, $name) || (
                strlen($text) === 2 && str_starts_with($name, $text)
            ),
            ARRAY_FILTER_USE_KEY,
        );

        return count($found) === 1 ? reset($found) : null;
    }

    private static function say(string $day): string
    {
        return (new DateTimeImmutable($day))->format('j M Y');
    }

    private function day(): DateTimeImmutable
    {
        return new DateTimeImmutable($this->today);
    }
}
