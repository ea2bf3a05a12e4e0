<?php

use KeepPace\Core\Calendar\TypedDay;
use KeepPace\Core\Refused;

/* Days as people type them, the day before the month: common practice where the plant stands. */

function typed(string $text, string $today = '2026-11-27'): string // a Friday
{
    return (new TypedDay($today, '2024-11-27', '2031-11-27'))->read($text);
}

it('reads a day', function (string $text, string $day) {
    expect(typed($text))->toBe($day);
})->with([
    ['2026-12-04', '2026-12-04'],
    ['4.12.', '2026-12-04'],
    ['4.12', '2026-12-04'],
    ['04.12.2026', '2026-12-04'],
    ['4.12.26', '2026-12-04'],
    ['4/12', '2026-12-04'],
    ['4/12/27', '2027-12-04'],
    ['4 Dec', '2026-12-04'],
    ['4 december 2026', '2026-12-04'],
    ['4. Dec', '2026-12-04'],
    ['Fri 4 Dec 2026', '2026-12-04'],
    ['Friday, 4 Dec', '2026-12-04'],
    ['fri', '2026-12-04'], // today is one: the next
    ['mo', '2026-11-30'],
    ['Thursday', '2026-12-03'],
    ['+3', '2026-11-30'],
    ['+ 3', '2026-11-30'],
    ['+2w', '2026-12-11'],
    ['yesterday', '2026-11-26'],
    [' today ', '2026-11-27'],
    ['tomorrow', '2026-11-28'],
    ['3.1.', '2027-01-03'], // nearest to today, and that is ahead
    ['24.11.', '2026-11-24'],
    ['29.2.28', '2028-02-29'],
]);

it('asks about what cannot be meant', function (string $text, string $says) {
    expect(fn () => typed($text))->toThrow(Refused::class, $says);
})->with([
    ['0027-12-05', 'Is 5 Dec 0027 meant?'],
    ['5.12.2700', 'Is 5 Dec 2700 meant?'],
    ['9999-12-31', 'Is 31 Dec 9999 meant?'],
    ['+9999', 'meant?'],
    ['5.12.19', 'Is 5 Dec 2019 meant? A day here lies between 27 Nov 2024 and 27 Nov 2031.'],
    ['31.2.', 'in no calendar'],
    ['31.2.2027', 'in no calendar'],
    ['2026-13-01', 'in no calendar'],
    ['0000-01-01', 'in no calendar'],
    ['-3', 'is no day'],
    ['soon', 'is no day'],
    ['t', 'is no day'],
    ['s', 'is no day'],
    ['', 'is no day'],
    ['4.12.202', 'is no day'],
    ['4 foo', 'is no day'],
    ["2026-12-04\n5", 'is no day'],
]);

it('reads back what it says, on every day of two years', function () {
    $day = new DateTimeImmutable('2026-01-01');
    for ($i = 0; $i < 730; $i++, $day = $day->modify('+1 day')) {
        expect(typed($day->format('D j M Y')))->toBe($day->format('Y-m-d'));
        expect(typed($day->format('j.n.y')))->toBe($day->format('Y-m-d'));
    }
});

it('takes the nearest of a day without a year, whatever today is', function (string $today) {
    foreach ([-150, -90, -1, 0, 1, 90, 150] as $ahead) {
        $day = (new DateTimeImmutable($today))->modify("{$ahead} days");
        expect((new TypedDay(
            $today,
            '2000-01-01',
            '2099-12-31',
        ))->read($day->format('j.n.')))->toBe($day->format('Y-m-d'));
    }
})->with(['2026-01-01', '2026-12-31', '2027-03-01', '2028-02-28', '2026-06-30']);
