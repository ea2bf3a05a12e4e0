<?php

use KeepPace\Core\Calendar\DayException;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Calendar\Shift;
use KeepPace\Core\Calendar\WorkingCalendar;
use Sabre\VObject\Recur\RRuleIterator;

/** Monday to Friday, 08:00-17:00 with an hour's break. */
function office(string $zone = 'Europe/Berlin', array $exceptions = []): WorkingCalendar
{
    $shifts = [];
    foreach (range(1, 5) as $day) {
        array_push($shifts, new Shift($day, '08:00', '17:00'), new Shift($day, '12:00', '13:00', isBreak: true));
    }

    return new WorkingCalendar($zone, $shifts, $exceptions);
}

function at(string $time, string $zone = 'Europe/Berlin'): int
{
    return intdiv((new DateTimeImmutable($time, new DateTimeZone($zone)))->getTimestamp(), 60);
}

it('finishes open time and finds its start again', function (string $start, int $minutes, string $end) {
    $open = office()->windows(at('2026-11-01 00:00'), at('2027-01-31 00:00'));
    expect($open->finish(at($start), $minutes))->toBe(at($end));
    expect($open->startFor(at($end), $minutes))->toBeGreaterThanOrEqual(at($start));
    expect($open->minutesBetween(at($start), at($end)))->toBe($minutes);
})->with([
    'common practice: within the morning' => ['2026-11-24 08:00', 60, '2026-11-24 09:00'],
    'common practice: over the break' => ['2026-11-24 11:30', 60, '2026-11-24 13:30'],
    'common practice: exactly to the end of the day stays on that day' => ['2026-11-24 08:00', 480, '2026-11-24 17:00'],
    'common practice: one minute more is the next morning' => ['2026-11-24 08:00', 481, '2026-11-25 08:01'],
    'common practice: over the week-end' => ['2026-11-27 16:00', 120, '2026-11-30 09:00'],
    'common practice: begun in closed time' => ['2026-11-28 10:00', 30, '2026-11-30 08:30'],
    'common practice: nothing to do' => ['2026-11-28 10:00', 0, '2026-11-28 10:00'],
]);

it('knows how long nights are when the clock changes: IANA time zone data', function (string $date, int $hours) {
    $weekday = (int) (new DateTimeImmutable($date))->format('N');
    $night = new WorkingCalendar('Europe/Berlin', [new Shift($weekday, '22:00', '06:00')]);
    $open = $night->windows(at("{$date} 12:00"), at("{$date} 12:00") + 1440 + 120);
    expect($open->minutesBetween(at("{$date} 12:00"), at("{$date} 12:00") + 1560))->toBe($hours * 60);
})->with([
    'Berlin, night into 2027-03-28' => ['2027-03-27', 7], 'Berlin, night into 2027-10-31' => ['2027-10-30', 9],
    'Berlin, a plain night' => ['2027-06-05', 8],
]);

it('knows how long days are when the clock changes: IANA time zone data', function (string $date, int $hours) {
    $all = new WorkingCalendar(
        'Europe/Berlin',
        array_map(fn (int $day): Shift => new Shift($day, '00:00', '00:00'), range(1, 7)),
    );
    $next = (new DateTimeImmutable($date))->modify('+1 day')->format('Y-m-d');
    expect(
        $all
            ->windows(at("{$date} 00:00"), at("{$next} 00:00"))
            ->minutesBetween(at("{$date} 00:00"), at("{$next} 00:00")),
    )->toBe($hours * 60);
})->with([['2027-03-28', 23], ['2027-10-31', 25], ['2027-07-01', 24]]);

it('agrees with an iCalendar expansion over two years, clock changes included: RFC 5545', function (
    string $zone,
    string $days,
    string $from,
    string $to,
) {
    $map = ['MO' => 1, 'TU' => 2, 'WE' => 3, 'TH' => 4, 'FR' => 5, 'SA' => 6, 'SU' => 7];
    $calendar = new WorkingCalendar(
        $zone,
        array_map(fn (string $day): Shift => new Shift($map[$day], $from, $to), explode(',', $days)),
    );
    $tz = new DateTimeZone($zone);
    $level = error_reporting(E_ALL & ~E_DEPRECATED); // the library is older than PHP 8.1's return types
    $rule = new RRuleIterator(
        "FREQ=WEEKLY;BYDAY={$days};UNTIL=20280101T000000Z",
        new DateTimeImmutable("2026-01-01 {$from}", $tz),
    );
    $expected = [];
    foreach ($rule as $i => $start) {
        if (
            in_array(
                (int) $start->format('N'),
                array_map(fn (string $day): int => $map[$day], explode(',', $days)),
                true,
            )
        ) {
            $end = new DateTimeImmutable(
                ($to <= $from ? $start->modify('+1 day') : $start)->format('Y-m-d')." {$to}",
                $tz,
            );
            $expected[] = [intdiv($start->getTimestamp(), 60), intdiv($end->getTimestamp(), 60)];
        }
    }
    error_reporting($level);
    $open = $calendar->windows(at('2026-01-01 00:00', $zone), at('2027-12-31 12:00', $zone));
    $inside = fn (array $spans): array => array_values(
        array_filter(
            $spans,
            fn (array $span): bool => $span[0] > at('2026-01-03 00:00', $zone)
                && $span[1] < at('2027-12-28 00:00', $zone),
        ),
    );
    expect($inside(array_map(null, $open->starts, $open->ends)))->toBe($inside($expected))
        ->and(count($inside($expected)))->toBeGreaterThan(200);
})->with([
    'day shift in Berlin' => ['Europe/Berlin', 'MO,TU,WE,TH,FR', '06:00', '14:00'],
    'night shift in Dublin' => ['Europe/Dublin', 'MO,WE,SA', '22:00', '06:00'],
    'night of the change in New York' => ['America/New_York', 'SA,SU', '20:00', '04:30'],
    'half-hour zone' => ['Australia/Lord_Howe', 'SA,MO', '21:00', '05:00'],
]);

it('takes holidays out and puts overtime in', function () {
    $calendar = office(
        exceptions: [
            DayException::closed('2026-12-25'),
            DayException::overtime('2026-12-05', '08:00', '12:00'),
            DayException::closedBetween('2026-11-24', '14:00', '17:00'),
        ],
    );
    $open = fn (string $date): int => $calendar
        ->windows(at("{$date} 00:00"), at("{$date} 00:00") + 1440)
        ->minutesBetween(at("{$date} 00:00"), at("{$date} 00:00") + 1440);
    expect($open('2026-12-25'))->toBe(0)
        ->and($open('2026-12-05'))->toBe(240)
        ->and($open('2026-11-24'))->toBe(300)
        ->and($open('2026-11-25'))
        ->toBe(480);
});

it('closes the night shift of a holiday whole, and leaves the one before it', function () {
    $calendar = new WorkingCalendar(
        'Europe/Berlin',
        array_map(fn (int $day): Shift => new Shift($day, '22:00', '06:00'), range(1, 7)),
        [DayException::closed('2026-12-25')],
    );
    $open = $calendar->windows(at('2026-12-24 12:00'), at('2026-12-26 12:00'));
    expect(array_map(null, $open->starts, $open->ends))->toBe([[at('2026-12-24 22:00'), at('2026-12-25 06:00')]]);
});

it('counts working days', function (string $from, int $days, string $to) {
    expect(
        office(
            exceptions: [DayException::closed('2026-12-25'), DayException::overtime('2026-12-05', '08:00', '12:00')],
        )->workingDaysFrom($from, $days),
    )->toBe($to);
})->with([
    'common practice: ship on the 22nd, finish by the 21st' => ['2026-12-22', -1, '2026-12-21'],
    'common practice: over the week-end' => ['2026-12-21', -1, '2026-12-18'],
    'common practice: over a holiday' => ['2026-12-28', -1, '2026-12-24'],
    'common practice: a Saturday with overtime is a working day' => ['2026-12-04', 1, '2026-12-05'],
    'common practice: none' => ['2026-12-25', 0, '2026-12-25'],
]);

// common practice
it('counts working days from one date to another, both ways', function (string $from, string $to, int $days) {
    expect(office(exceptions: [DayException::closed('2026-12-25')])->workingDaysBetween($from, $to))->toBe($days);
})->with([
    'over a week-end' => ['2026-11-27', '2026-11-30', 1],
    'back' => ['2026-11-30', '2026-11-27', -1],
    'over a holiday' => ['2026-12-24', '2026-12-28', 1],
    'none' => ['2026-11-27', '2026-11-27', 0],
]);

it('works on a closed day that has overtime, whichever of the two was said first', function () {
    $closed = DayException::closed('2026-12-25');
    $overtime = DayException::overtime('2026-12-25', '08:00', '12:00');
    expect(office(exceptions: [$closed, $overtime])->isWorkingDay('2026-12-25'))->toBeTrue()
        ->and(office(exceptions: [$overtime, $closed])->isWorkingDay('2026-12-25'))->toBeTrue()
        ->and(office(exceptions: [$closed])->isWorkingDay('2026-12-25'))->toBeFalse();
});

it('answers when no open time is left', function () {
    $none = OpenWindows::of([], [], 0, 1000);
    expect($none->nextOpen(5))->toBeNull()
        ->and($none->finish(5, 1))->toBeNull()
        ->and($none->startFor(500, 1))->toBeNull()
        ->and($none->minutesBetween(0, 1000))->toBe(0)
        ->and($none->isOpen(1))->toBeFalse();
});

it('agrees with counting minute by minute on random weeks', function () {
    mt_srand(11);
    for ($round = 0; $round < 150; $round++) {
        $span = function (): array {
            $a = mt_rand(0, 290);

            return [$a, $a + mt_rand(1, 60)];
        };
        $open = array_map($span, range(1, mt_rand(1, 6)));
        $shut = array_map($span, range(1, mt_rand(1, 3)));
        $windows = OpenWindows::of($open, $shut, 0, 300);
        $in = fn (array $spans, int $m): bool => array_filter(
            $spans,
            fn (array $s): bool => $s[0] <= $m && $m < $s[1],
        ) !== [];
        $minutes = array_values(array_filter(range(0, 299), fn (int $m): bool => $in($open, $m) && ! $in($shut, $m)));
        $start = mt_rand(0, 299);
        $n = mt_rand(1, 60);
        $later = array_values(array_filter($minutes, fn (int $m): bool => $m >= $start));
        $earlier = array_values(array_filter($minutes, fn (int $m): bool => $m < $start));
        expect($windows->nextOpen($start))->toBe($later[0] ?? null)
            ->and($windows->finish($start, $n))->toBe(isset($later[$n - 1]) ? $later[$n - 1] + 1 : null)
            ->and($windows->startFor($start, $n))->toBe(count($earlier) >= $n ? $earlier[count($earlier) - $n] : null)
            ->and($windows->minutesBetween(0, $start))->toBe(count($earlier))
            ->and($windows->isOpen($start))->toBe(in_array($start, $minutes, true));
    }
});

it('knows when the shift that runs ends: common practice', function (string $now, ?string $end) {
    $calendar = new WorkingCalendar('Europe/Berlin', [
        new Shift(1, '06:00', '14:00'),
        new Shift(1, '14:00', '22:00'),
        new Shift(1, '10:00', '10:30', isBreak: true),
        new Shift(1, '22:00', '06:00'),
        new Shift(3, '00:00', '00:00'),
    ], [DayException::closed('2026-12-07'), DayException::overtime('2026-11-28', '07:00', '12:00')]);
    expect($calendar->shiftEnd(at($now)))->toBe($end === null ? null : at($end));
})->with([
    'in the early one' => ['2026-11-30 09:00', '2026-11-30 14:00'],
    'in its break' => ['2026-11-30 10:10', '2026-11-30 14:00'],
    'where two meet, the one that begins' => ['2026-11-30 14:00', '2026-11-30 22:00'],
    'at night, begun the day before' => ['2026-12-01 03:00', '2026-12-01 06:00'],
    'round the clock' => ['2026-12-02 13:00', '2026-12-03 00:00'],
    'closed' => ['2026-12-01 12:00', null],
    'overtime without a shift' => ['2026-11-28 08:00', null],
    'a holiday' => ['2026-12-07 09:00', null],
    'the night after a holiday, which it began on' => ['2026-12-08 03:00', null],
]);

it('looks no further than some ten years, whatever is asked, and works beyond 2038', function () {
    $open = office()->windows(at('2026-11-24 00:00'), at('2700-01-01 00:00'));
    expect(count($open->starts))->toBeLessThan(6000)
        ->and($open->ends[count($open->ends) - 1])->toBeGreaterThan(at('2037-01-01 00:00'));
    $late = office()->windows(at('2045-03-01 00:00'), at('2045-03-31 00:00'));
    // Wed 1 March 2045, eight hours and an hour's break
    expect($late->finish(at('2045-03-01 08:00'), 480))->toBe(at('2045-03-01 17:00'));
});

it('knows how long a usual day is', function (array $shifts, int $minutes) {
    expect((new WorkingCalendar('Europe/Berlin', $shifts, [DayException::closed('2026-12-25')]))->usualDay())
        ->toBe($minutes);
})->with([
    'arithmetic: four days of 465 minutes and a Friday of 345' => [
        [
            ...array_map(fn (int $day): Shift => new Shift($day, '07:00', '15:30'), range(1, 4)),
            new Shift(5, '07:00', '13:30'),
            ...array_map(fn (int $day): Shift => new Shift($day, '12:00', '12:45', isBreak: true), range(1, 5)),
        ],
        441,
    ],
    'arithmetic: two shifts of eight hours' => [
        [new Shift(1, '06:00', '14:00'), new Shift(1, '14:00', '22:00'), new Shift(2, '06:00', '22:00')],
        960,
    ],
    'arithmetic: nights, the last into the next week' => [
        [new Shift(6, '22:00', '06:00'), new Shift(7, '22:00', '06:00')],
        480,
    ],
    'round the clock' => [array_map(fn (int $day): Shift => new Shift($day, '00:00', '00:00'), range(1, 7)), 1440],
    'no day at all' => [[], 1440],
]);

it('counts whole working days, midnight to midnight', function (string $start, int $days, string $end) {
    $office = office(exceptions: [
        DayException::closed('2026-12-25'),
        DayException::overtime('2027-01-02', '08:00', '12:00'),
    ]);
    $open = $office->wholeDays(at('2026-11-01 00:00'), at('2027-06-30 00:00'));
    expect($open->finish(at($start), $days * 1440))->toBe(at($end));
})->with([
    'common practice: within the week, at the time of day it went' => ['2026-11-24 09:00', 2, '2026-11-26 09:00'],
    'common practice: over the week-end' => ['2026-11-26 14:30', 4, '2026-12-02 14:30'],
    'common practice: gone on a Saturday, begun on Monday' => ['2026-11-28 10:00', 1, '2026-12-01 00:00'],
    'common practice: a holiday is not worked' => ['2026-12-24 10:00', 2, '2026-12-29 10:00'],
    'common practice: a Saturday with overtime is' => ['2026-12-31 10:00', 2, '2027-01-02 10:00'],
    'common practice: the week-end on which the clock changes is closed' => ['2027-03-26 10:00', 1, '2027-03-29 10:00'],
]);
