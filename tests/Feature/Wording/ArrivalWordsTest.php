<?php

use App\Wording\ArrivalWords;
use App\Wording\CauseWords;
use App\Wording\Figures;
use App\Wording\Weekdays;
use App\Wording\When;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\Arrival;
use KeepPace\Core\Planning\Expected;
use KeepPace\Core\Scheduling\Why\Cause;

/* What is said of days, causes and figures; today is Tue 24 Nov 2026 in Dublin. An assumption is never a date. */

/** A sentence with its days as the shop says them: "order by {2026-12-09}". */
function withDays(string $says): string
{
    return (string) preg_replace_callback('/{([\d-]+)}/', fn (array $day): string => When::day($day[1]), $says);
}

/** UTC minute of a time in Dublin. */
function dublin(string $time): int
{
    return intdiv(CarbonImmutable::parse($time, 'Europe/Dublin')->getTimestamp(), 60);
}

it('says when something can be used if it is ordered today', function (Arrival $at, string $says) {
    expect(ArrivalWords::ifOrdered($at))->toBe($says)
        ->and(ArrivalWords::missing($at))->toBe(" ({$says})");
})->with([
    fn (): array => [
        new Arrival(dublin('2026-11-27 07:00'), Expected::IfOrdered),
        'to be used on Fri if ordered today',
    ],
    fn (): array => [
        new Arrival(dublin('2026-12-18 07:00'), Expected::IfOrdered),
        'to be used on 18 Dec if ordered today',
    ],
    fn (): array => [
        new Arrival(dublin('2026-11-27 07:00'), Expected::NoLeadTime),
        'to be used on Fri if ordered today; its lead time is not known',
    ],
    fn (): array => [
        new Arrival(dublin('2026-11-24 14:00'), Expected::IfOrdered),
        'to be used today if ordered today',
    ],
]);

it('says the day somebody gave, and of one that passed what it is taken for', function () {
    $given = new Arrival(dublin('2026-11-27 07:00'), on: '2026-11-26');
    $late = new Arrival(dublin('2026-11-27 07:00'), Expected::Overdue, '2026-11-20', '2026-11-26');
    expect(ArrivalWords::day($given))->toBe(When::day('2026-11-26'))
        ->and(ArrivalWords::day(new Arrival(dublin('2026-11-27 07:00'))))->toBe(When::day(dublin('2026-11-27 07:00')))
        ->and(ArrivalWords::day($late))
        ->toBe(withDays('was due {2026-11-20}, taken for {2026-11-26}'))
        ->and(ArrivalWords::until($given))->toBe(' until '.When::day(dublin('2026-11-27 07:00')))
        ->and(ArrivalWords::until($late))->toStartWith(' until about ')->toContain('was due ')
        ->and(ArrivalWords::until(null))->toBe('')
        ->and(ArrivalWords::missing(null))->toBe('');
});

it('tells how often a day has passed, and nothing where none has', function (int $passed, string $says) {
    expect(ArrivalWords::history('2026-11-12', $passed))->toBe(withDays($says));
})->with([
    [0, ''],
    [1, 'first said for {2026-11-12}, passed once'],
    [3, 'first said for {2026-11-12}, passed 3 times'],
]);

it('says by when to order, today, or how late it is', function (string $by, int $days, string $order, string $has) {
    expect(ArrivalWords::orderBy($by, '2026-11-24', $days))->toBe(withDays($order))
        ->and(ArrivalWords::hasToBeOrdered($by, '2026-11-24'))->toBe(withDays($has));
})->with([
    ['2026-12-09', 0, 'order by {2026-12-09}', 'has to be ordered by {2026-12-09}'],
    ['2026-11-24', 0, 'order today', 'has to be ordered today'],
    ['2026-11-23', 1, '1 working day too late', 'should have been ordered by {2026-11-23}'],
    // a Sunday that passed is no working day, and late all the same
    ['2026-11-22', 0, '1 working day too late', 'should have been ordered by {2026-11-22}'],
    ['2026-11-17', 5, '5 working days too late', 'should have been ordered by {2026-11-17}'],
]);

it('says of what holds up nothing that it holds up nothing', function () {
    expect(ArrivalWords::hasToBeOrdered(null, '2026-11-24'))->toBe('holds up no date');
});

it('says what time goes into, at a place and without', function (Cause $cause, string $with, string $without) {
    expect(CauseWords::of($cause, 'Turning'))->toBe($with)
        ->and(trim(CauseWords::of($cause, '')))->toBe($without);
})->with([
    [Cause::StepTime, 'work at Turning', 'its own steps'],
    [Cause::ClosedTime, 'closed time', 'closed time'],
    [Cause::MachineBusy, 'Turning busy', 'busy'],
    [Cause::Crew, 'people missing at Turning', 'people missing at'],
    [Cause::Material, 'waits for Turning', 'material'],
    [Cause::HeldBack, 'held back to its date', 'held back to its date'],
    [Cause::Supplier, 'Turning', 'the supplier'],
    [Cause::Sequence, 'Turning free, but something else is planned first', 'free, but something else is planned first'],
]);

it('has words for every cause there is', function () {
    foreach (Cause::cases() as $cause) {
        expect(CauseWords::of($cause, 'Turning', '218'))->not->toBe('');
    }
    expect(CauseWords::of(Cause::MachineBusy, 'Turning', '218 and 219'))->toBe('Turning busy with 218 and 219');
});

it('lists days of the week', function (array $days, string $says) {
    expect(Weekdays::says($days))->toBe($says);
})->with([[[], ''], [[1], 'on Mon'], [[1, 4], 'on Mon and Thu'], [[2, 3, 7], 'on Tue, Wed and Sun']]);

it('writes figures so that they are read at a glance', function (string $is, string $says) {
    expect($is)->toBe($says);
})->with(fn (): array => [
    [Figures::money(0), '0.00'],
    [Figures::money(-5), '-0.05'],
    [Figures::money(123_450), "1\u{202F}234.50"],
    [Figures::money(99_999_999_999), "999\u{202F}999\u{202F}999.99"],
    [Figures::price('14.2'), '14.20'],
    [Figures::price('1180'), "1\u{202F}180.00"],
    [Figures::price('45.104900'), '45.1049'],
    [Figures::price('1234567.5'), "1\u{202F}234\u{202F}567.50"],
    [Figures::typedEuros(0), ''],
    [Figures::typedEuros(750), '7.5'],
    [Figures::count(0, 'order'), '0 orders'],
    [Figures::count(1, 'order'), '1 order'],
    [Figures::count(1289, 'order'), "1\u{202F}289 orders"],
    [Figures::hours(750), '12.5'],
    [Figures::minutes(45), '45 min'],
    [Figures::minutes(180), '3 h'],
    [Figures::minutes(200), '3 h 20'],
    [Figures::minutes(-185), '−3 h 05'],
    [Figures::elapsed(2879), '47 h 59'],
    [Figures::elapsed(2880), '2 d'],
    [Figures::elapsed(9730), '6 d 18 h 10'],
    [Figures::elapsed(-2881), '−2 d 1 min'],
    [Figures::pace(0, 480), 'just in time'],
    [Figures::pace(-29, 480), 'just in time'],
    [Figures::pace(-30, 480), '30 min ahead'],
    [Figures::pace(1, 480), '5 min late'], // never told less than it is
    [Figures::pace(479, 480), '8 h late'],
    [Figures::pace(480, 480), '1 working day late'],
    [Figures::pace(960, 480), '2 working days late'],
    [Figures::pace(-1441, 480), '3 working days ahead'],
    [Figures::amount(null), ''],
    [Figures::amount('12.500000'), '12.5'],
]);
