<?php

use KeepPace\Core\Calendar\DayException;
use KeepPace\Core\Calendar\Shift;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Planning\Delivery;
use KeepPace\Core\Planning\SupplierDays;

/* W11, order by with calendars: common practice. */

/** @param  list<string>  $closed */
function weekdays(array $closed = []): WorkingCalendar
{
    return new WorkingCalendar(
        'Europe/Dublin',
        array_map(fn (int $day): Shift => new Shift($day, '07:00', '15:30'), range(1, 5)),
        array_map(DayException::closed(...), $closed),
    );
}

/**
 * @param  list<string>  $theirsClosed
 * @param  list<int>  $ordersOn
 * @param  list<int>  $deliversOn
 */
function delivery(
    int $lead,
    int $transport = 0,
    int $inspection = 0,
    array $theirsClosed = [],
    ?string $from = null,
    array $ordersOn = [],
    array $deliversOn = [],
): Delivery {
    $ours = weekdays(['2026-12-25', '2027-01-01']);

    return new Delivery(
        $ours,
        new SupplierDays(weekdays($theirsClosed), $transport, $ordersOn, $deliversOn),
        $ours->windows($ours->minute('2026-10-01', '00:00'), $ours->minute('2027-04-01', '00:00')),
        $lead,
        $inspection,
        $from,
    );
}

it('orders by the last day that keeps the date', function (array $closed, string $by) {
    $needed = weekdays()->minute('2026-12-21', '07:30');
    expect(delivery(5, 1, 1, $closed)->orderBy($needed))->toBe($by);
})->with([
    'step at latest Mon 21 Dec 07:30' => [[], '2026-12-09'],
    'the supplier closed on 14 Dec' => [['2026-12-14'], '2026-12-08'],
]);

it('says when what is ordered comes and can be used', function (
    int $lead,
    string $ordered,
    string $comes,
    string $usable,
    ?string $from = null,
) {
    $delivery = delivery($lead, from: $from);
    expect($delivery->comesOn($ordered))->toBe($comes)
        ->and($delivery->usableAt($comes))->toBe(weekdays()->minute(...explode(' ', $usable)));
})->with([
    'four working days from a Tuesday' => [4, '2026-11-24', '2026-11-30', '2026-12-01 07:00'],
    'on a Friday: usable on Monday' => [3, '2026-11-24', '2026-11-27', '2026-11-30 07:00'],
    'over a holiday' => [2, '2026-12-23', '2026-12-28', '2026-12-29 07:00'],
    'no lead time, ordered on a Sunday' => [0, '2026-11-29', '2026-11-30', '2026-12-01 07:00'],
    'usable the same day from an hour' => [3, '2026-11-24', '2026-11-27', '2026-11-27 10:00', '10:00'],
]);

it('finds no day too late and none too early: a day later misses it', function (int $seed) {
    mt_srand($seed);
    $delivery = delivery(
        mt_rand(0, 12),
        mt_rand(0, 3),
        mt_rand(0, 2),
        ['2026-12-14', '2026-12-31'],
        mt_rand(0, 1) === 1 ? '09:00' : null,
        [[], [2], [1, 4]][mt_rand(0, 2)],
        [[], [3], [2, 5]][mt_rand(0, 2)],
    );
    $needed = weekdays()->minute('2026-12-07', '00:00') + mt_rand(0, 60 * 1440);
    $by = $delivery->orderBy($needed);
    $ordered = fn (string $day): int => $delivery->usableAt($delivery->comesOn($day));
    $next = $by;
    do {
        $next = (new DateTimeImmutable($next))->modify('+1 day')->format('Y-m-d');
    } while (! weekdays(['2026-12-25', '2027-01-01'])->isWorkingDay($next));
    expect($ordered($by))->toBeLessThanOrEqual($needed)->and($ordered($next))->toBeGreaterThan($needed);
})->with(range(1, 60));

it('ends in a calendar without a working day', function () {
    $never = new WorkingCalendar('Europe/Dublin', []);
    $delivery = new Delivery($never, new SupplierDays($never), $never->windows(0, 1440), 3);
    expect($delivery->comesOn('2026-11-24'))->toBeString()->and($delivery->orderBy(29_000_000))->toBeString();
});

/* Order and delivery days of a supplier: common practice, the days counted by hand in the calendar of 2026. */
it('orders on days on which he takes orders, and it comes on days on which he delivers', function () {
    // ordered on Tue 24 Nov, taken on Thu 26; three working days to Tue 1 Dec; he drives on Fridays
    $weekly = delivery(3, ordersOn: [4], deliversOn: [5]);
    expect($weekly->comesOn('2026-11-24'))->toBe('2026-12-04')
        ->and($weekly->comesOn('2026-11-26'))->toBe('2026-12-04')
        ->and($weekly->comesOn('2026-11-27'))->toBe('2026-12-11')
        // usable on Mon 7 Dec: the Thursday before is the last that still keeps it
        ->and($weekly->orderBy(weekdays()->minute('2026-12-07', '07:00')))->toBe('2026-11-26')
        ->and($weekly->orderBy(weekdays()->minute('2026-12-07', '06:59')))->toBe('2026-11-19');
});

it('takes the next delivery where the day is a holiday of ours', function () {
    // Fri 25 Dec is a holiday: it comes a week later, and Fri 1 Jan is one too
    expect(delivery(1, deliversOn: [5])->comesOn('2026-12-22'))->toBe('2027-01-08');
});
