<?php

use KeepPace\Core\Calendar\TypedDay;
use KeepPace\Core\Calendar\TypedMoment;
use KeepPace\Core\Refused;

/* Days and times as people type them. The 24-hour clock is of ISO 8601, the rest common practice. */

function typedMoment(string $text): array // on a Friday
{
    return (new TypedMoment('2026-11-27', new TypedDay('2026-11-27', '2024-11-27', '2031-11-27')))->read($text);
}

it('reads a day and a time', function (string $text, string $day, ?string $clock) {
    expect(typedMoment($text))->toBe([$day, $clock]);
})->with([
    ['fri 6:30', '2026-12-04', '06:30'],
    ['Fri, 6:30', '2026-12-04', '06:30'],
    ['fri at 6:30', '2026-12-04', '06:30'],
    ['fri 6h', '2026-12-04', '06:00'],
    ['4.12. 14:00', '2026-12-04', '14:00'],
    ['4.12 14:00', '2026-12-04', '14:00'],
    ['+1 8:00', '2026-11-28', '08:00'],
    ['tomorrow 0:00', '2026-11-28', '00:00'],
    ['2026-12-04 23:59', '2026-12-04', '23:59'],
    ['2026-12-04T14:00', '2026-12-04', '14:00'], // ISO 8601
    ['Fri 4 Dec 2026, 14:30', '2026-12-04', '14:30'], // as it is said beside the field
    ['14:00', '2026-11-27', '14:00'],
    ['at 14:00', '2026-11-27', '14:00'],
    [' 6h ', '2026-11-27', '06:00'],
    ['fri', '2026-12-04', null],
    ['4.12.', '2026-12-04', null], // a date, not four o'clock
    ['+1', '2026-11-28', null],
]);

it('asks about what is no moment', function (string $text, string $says) {
    expect(fn () => typedMoment($text))->toThrow(Refused::class, $says);
})->with([
    ['noon', "'noon' is no day and time. Type such as fri 6:30, 4.12. 14:00 or 14:00."],
    ['', "'' is no day and time."],
    ['6', "'6' is no day and time."],
    ['fri 6:3', "'fri 6:3' is no day and time."],
    ['fri 6', "'fri 6' is no day and time."],
    ['6:30 fri', "'6:30 fri' is no day and time."],
    ['24:00', 'A day has no 24:00. Its times go from 0:00 to 23:59.'],
    ['fri 7:60', 'A day has no 7:60.'],
    ['31.2. 7:00', "'31.2.' is in no calendar."],
    ['4.12.2700 7:00', 'Is 4 Dec 2700 meant?'],
]);

it('reads a time of day alone', function () {
    expect(TypedMoment::timeOfDay('6:30'))->toBe('06:30')
        ->and(TypedMoment::timeOfDay(' 14:00 '))->toBe('14:00')
        ->and(TypedMoment::timeOfDay('6h'))->toBe('06:00')
        ->and(fn () => TypedMoment::timeOfDay('fri 6:30'))->toThrow(Refused::class, "'fri 6:30' is no time of day.")
        ->and(fn () => TypedMoment::timeOfDay('6'))->toThrow(Refused::class, 'Type such as 6:30 or 14:00.')
        ->and(fn () => TypedMoment::timeOfDay('26:00'))->toThrow(Refused::class, 'A day has no 26:00.');
});
