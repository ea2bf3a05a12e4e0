<?php

use KeepPace\Core\Calendar\Day;

/* Days as they follow one another, against PHP's own calendar and the leap years of ISO 8601. */

it('knows the day before, the day after and the weekday', function (
    string $day,
    string $before,
    string $after,
    int $of,
) {
    expect([Day::before($day), Day::after($day), Day::weekday($day)])->toBe([$before, $after, $of]);
})->with([
    'a leap day' => ['2028-02-29', '2028-02-28', '2028-03-01', 2],
    'no leap day in 2100' => ['2100-02-28', '2100-02-27', '2100-03-01', 7],
    'the turn of a year' => ['2026-12-31', '2026-12-30', '2027-01-01', 4],
    'the clock goes back' => ['2026-10-25', '2026-10-24', '2026-10-26', 7],
    'the clock goes forward' => ['2027-03-28', '2027-03-27', '2027-03-29', 7],
]);

it('goes there and back over thousands of days', function () {
    $day = '1999-12-31';
    for ($i = 0; $i < 25_000; $i++) {
        expect(Day::before(Day::after($day)))->toBe($day);
        $day = Day::after($day);
    }
    expect($day)->toBe('2068-06-11') // 25,000 days on, by the Julian day number
        ->and(Day::weekday($day))->toBe(1);
});
