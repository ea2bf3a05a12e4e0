<?php

use KeepPace\Core\Calendar\DayException;
use KeepPace\Core\Calendar\Shift;
use KeepPace\Core\Calendar\WorkingCalendar;
use KeepPace\Core\Routing\Spell;

/* W21, open time and overtime: common practice, its examples and their edges. */

function spell(string $from, string $to): Spell
{
    $shifts = [];
    foreach (range(1, 5) as $day) {
        array_push($shifts, new Shift($day, '07:00', '15:30'), new Shift($day, '12:00', '12:30', isBreak: true));
    }
    $calendar = new WorkingCalendar('Europe/Dublin', $shifts, [DayException::closed('2026-12-25')]);
    [$from, $to] = array_map(fn (string $time): int => $calendar->minute(...explode(' ', $time)), [$from, $to]);

    return new Spell($calendar->windows($from - 1, $to + 1), $from, $to);
}

it('leaves out what was closed, and counts overtime as it stands', function (string $from, string $to, int $minutes) {
    expect(spell($from, $to)->worked())->toBe($minutes)
        ->and(spell($from, $to)->machine(false))->toBe($minutes);
})->with([
    'Fri 15:00, shift ends 15:30, counted Mon 8:00' => ['2026-11-27 15:00', '2026-11-30 08:00', 90],
    'Sat 7:00 to 11:00, shop closed' => ['2026-11-28 07:00', '2026-11-28 11:00', 240],
    'over the break' => ['2026-11-24 11:00', '2026-11-24 13:00', 90],
    'over a holiday' => ['2026-12-24 15:00', '2026-12-28 07:10', 40],
    'begun the minute the shift ends' => ['2026-11-24 15:30', '2026-11-24 17:00', 90],
    'begun the minute it opens' => ['2026-11-24 07:00', '2026-11-24 07:45', 45],
    'counted in the same minute' => ['2026-11-24 08:00', '2026-11-24 08:00', 0],
    'a night in which the clock goes back, worked through' => ['2026-10-24 22:00', '2026-10-25 06:00', 540],
]);

it('lets a machine run on that nobody need stand by', function () {
    expect(spell('2026-11-27 15:00', '2026-11-30 08:00')->machine(true))->toBe(65 * 60);
});
