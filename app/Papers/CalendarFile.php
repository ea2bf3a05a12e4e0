<?php

namespace App\Papers;

use App\Models\Calendar;
use App\Queries\Board\DispatchList;
use App\Wording\Figures;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;

/**
 * iCalendar (RFC 5545) in and out: schedules as feeds, working time as weekly events, holidays and overtime as single
 * ones.
 */
final class CalendarFile
{
    /** So many days of a repeated holiday are taken in at most. */
    private const MOST = 400;

    /** So far ahead the changes of a zone are told. */
    private const ZONE_YEARS = 10;

    /** What is planned, one event a step. */
    public static function schedule(DispatchList $list): string
    {
        $file = new VCalendar(['PRODID' => '-//Keep Pace//Schedule//EN', 'X-WR-CALNAME' => $list->title()]);
        foreach ($list->cut->rows as $row) {
            self::add($file, [
                'UID' => "step-{$row->id}@keep-pace",
                'DTSTAMP' => self::utc(now()),
                'DTSTART' => self::utc($row->startAt),
                'DTEND' => self::utc($row->endAt),
                'SUMMARY' => "{$row->order} {$row->step()}",
                'DESCRIPTION' => Figures::amount((string) $row->quantity)." {$row->item}, {$row->ready}",
                'LOCATION' => $list->centre->name,
            ]);
        }

        return $file->serialize();
    }

    /** The week as events that repeat, and each day that differs. */
    public static function calendar(Calendar $calendar, CarbonImmutable $today): string
    {
        $zone = config()->string('pace.zone');
        $file = new VCalendar([
            'PRODID' => '-//Keep Pace//Calendar//EN',
            'X-WR-CALNAME' => $calendar->code,
            'X-WR-TIMEZONE' => $zone,
        ]);
        self::zone($file, new \DateTimeZone($zone), $today);
        $monday = $today->startOfWeek();
        foreach ($calendar->shifts->sortBy(['weekday', 'from_time']) as $shift) {
            $event = self::add($file, [
                'UID' => "shift-{$shift->id}@keep-pace",
                'DTSTAMP' => self::utc(now()),
                'SUMMARY' => $shift->is_break ? 'Break' : 'Shift',
                'CATEGORIES' => $shift->is_break ? 'BREAK' : 'WORK',
                'RRULE' => 'FREQ=WEEKLY',
            ]);
            self::between($event, $monday->addDays($shift->weekday - 1), $shift->from_time, $shift->to_time);
        }
        self::differing($file, $calendar);

        return $file->serialize();
    }

    /** Days that differ from the week. */
    private static function differing(VCalendar $file, Calendar $calendar): void
    {
        foreach ($calendar->days->sortBy('date') as $day) {
            $event = self::add($file, [
                'UID' => "day-{$day->id}@keep-pace",
                'DTSTAMP' => self::utc(now()),
                'SUMMARY' => $day->name === '' ? ucfirst($day->kind) : $day->name,
                'CATEGORIES' => $day->kind === 'overtime' ? 'OVERTIME' : 'CLOSED',
            ]);
            $day->from_time === ''
                ? $event->add('DTSTART', str_replace('-', '', $day->date), ['VALUE' => 'DATE'])
                : self::between($event, CarbonImmutable::parse($day->date), $day->from_time, $day->to_time);
        }
    }

    /**
     * Each zone a time is in has to be told (RFC 5545, 3.6.5): here by its changes, one after the other. A program
     * that knows the zone by its name takes no notice.
     */
    private static function zone(VCalendar $file, \DateTimeZone $zone, CarbonImmutable $today): void
    {
        $part = $file->createComponent('VTIMEZONE', ['TZID' => $zone->getName()]);
        $until = $today->addYears(self::ZONE_YEARS)->getTimestamp();
        $changes = $zone->getTransitions($today->subYear()->getTimestamp(), $until) ?: [];
        $before = $changes[0]['offset'] ?? 0;
        foreach ($changes as $change) {
            $part->add($file->createComponent($change['isdst'] ? 'DAYLIGHT' : 'STANDARD', [
                'DTSTART' => gmdate('Ymd\\THis', $change['ts'] + $before),
                'TZOFFSETFROM' => self::offset($before),
                'TZOFFSETTO' => self::offset($change['offset']),
                'TZNAME' => $change['abbr'],
            ]));
            $before = $change['offset'];
        }
        $file->add($part);
    }

    /** @return string "+0100" */
    private static function offset(int $seconds): string
    {
        $minutes = intdiv(abs($seconds), 60);

        return ($seconds < 0 ? '-' : '+').sprintf('%02d%02d', intdiv($minutes, 60), $minutes % 60);
    }

    /** From a time of a day to another, of the next day where it is not after it. */
    private static function between(VEvent $event, CarbonImmutable $day, string $from, string $to): void
    {
        $zone = config()->string('pace.zone');
        $event->add('DTSTART', self::local($day->format('Y-m-d'), $from, $zone), ['TZID' => $zone]);
        $event->add('DTEND', self::local(self::endDay($day, $from, $to), $to, $zone), ['TZID' => $zone]);
    }

    /**
     * Days that differ, from a file: a whole day is closed, part of one is closed time, and what says overtime or work
     * is overtime. Weekly shifts in it are left alone: the week is edited, not imported.
     *
     * @return list<array{date: string, kind: string, from: string, to: string, name: string}>
     *
     * @throws \InvalidArgumentException with a sentence for people when it is no such file
     */
    public static function days(string $text, CarbonImmutable $today): array
    {
        try {
            $file = Reader::read($text, Reader::OPTION_FORGIVING);
            if (! $file instanceof VCalendar) {
                throw new \InvalidArgumentException('This is not an iCalendar file.');
            }
            $zone = new \DateTimeZone(config()->string('pace.zone'));
            $weekly = array_filter(
                $file->select('VEVENT'),
                fn ($event): bool => $event instanceof VEvent
                    && str_contains((string) ($event->select('RRULE')[0] ?? ''), 'FREQ=WEEKLY'),
            );
            array_map(fn ($event) => $file->remove($event), $weekly);
            $once = $file->expand($today->subMonths(1), $today->addYears(2), $zone);
        } catch (ParseException|\Sabre\VObject\InvalidDataException) {
            throw new \InvalidArgumentException('This is not an iCalendar file, or a part of it cannot be read.');
        }
        $days = [];
        foreach ($once->select('VEVENT') as $event) {
            $days = [...$days, ...$event instanceof VEvent ? self::event($event, $zone) : []];
        }

        return array_slice($days, 0, self::MOST);
    }

    /** @return list<array{date: string, kind: string, from: string, to: string, name: string}> */
    private static function event(VEvent $event, \DateTimeZone $zone): array
    {
        [$begins, $ends] = [$event->select('DTSTART')[0] ?? null, $event->select('DTEND')[0] ?? null];
        if (! $begins instanceof DateTime) {
            return [];
        }
        $text = fn (string $name): string => trim((string) ($event->select($name)[0] ?? ''));
        $name = mb_strimwidth($text('SUMMARY'), 0, 60, '…');
        $start = CarbonImmutable::instance($begins->getDateTime($zone));
        if (! $begins->hasTime()) {
            $day = CarbonImmutable::parse($start->format('Y-m-d'), $zone);

            return self::closedDays(
                $day,
                ($ends instanceof DateTime ? $ends->getDateTime($zone) : $day->addDay())->format('Y-m-d'),
                $name,
            );
        }
        $start = $start->setTimezone($zone);
        $end = $ends instanceof DateTime
                ? CarbonImmutable::instance($ends->getDateTime($zone))->setTimezone($zone)
                : $start->addHour();
        $isOvertime = preg_match('/overtime|extra shift/i', $text('CATEGORIES')." {$name}") === 1;

        return [
            [
                'date' => $start->format('Y-m-d'),
                'kind' => $isOvertime ? 'overtime' : 'closed',
                'from' => $start->format('H:i'),
                'to' => $end->format('H:i'),
                'name' => $name,
            ],
        ];
    }

    /**
     * @param  string  $until  the first day that is none of them any more
     * @return list<array{date: string, kind: string, from: string, to: string, name: string}>
     */
    private static function closedDays(CarbonImmutable $day, string $until, string $name): array
    {
        $days = [];
        for (; $day->format('Y-m-d') < $until && count($days) < 60; $day = $day->addDay()) {
            $days[] = ['date' => $day->format('Y-m-d'), 'kind' => 'closed', 'from' => '', 'to' => '', 'name' => $name];
        }

        return $days;
    }

    /** @param  array<string, mixed>  $has */
    private static function add(VCalendar $file, array $has): VEvent
    {
        $event = $file->createComponent('VEVENT', $has);
        $file->add($event);

        return $event instanceof VEvent ? $event : throw new \LogicException('A VEVENT is a VEvent.');
    }

    private static function endDay(CarbonImmutable $day, string $from, string $to): string
    {
        return ($to <= $from ? $day->addDay() : $day)->format('Y-m-d');
    }

    private static function local(string $date, string $time, string $zone): \DateTimeImmutable
    {
        return new \DateTimeImmutable("{$date} {$time}", new \DateTimeZone($zone));
    }

    private static function utc(\DateTimeInterface|string $time): \DateTimeImmutable
    {
        return new \DateTimeImmutable(is_string($time) ? $time : '@'.$time->getTimestamp(), new \DateTimeZone('UTC'));
    }
}
