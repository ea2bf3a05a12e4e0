<?php

use App\Actions\Schedule\CalendarEdit;

/* What was changed in a calendar, as the history says it. */

function closedOn(string $date, string $name = ''): array
{
    return ['date' => $date, 'kind' => 'closed', 'from' => '', 'to' => '', 'name' => $name];
}

it('says what differs', function (CalendarEdit $edit, bool $weekDiffers, string $says) {
    expect($edit->says($weekDiffers))->toBe($says);
})->with([
    'the week' => [new CalendarEdit([]), true, 'its week'],
    'one day' => [new CalendarEdit(add: [closedOn('2026-12-24')]), false, '1 day added (Thu 24 Dec 2026)'],
    'a day with a name' => [
        new CalendarEdit(add: [closedOn('2026-12-24', 'Christmas Eve')]),
        false,
        '1 day added (Thu 24 Dec 2026 Christmas Eve)',
    ],
    'more than are named' => [
        new CalendarEdit(add: array_map(fn (int $day): array => closedOn("2026-12-{$day}"), [21, 22, 23, 24])),
        false,
        '4 days added (Mon 21 Dec 2026, Tue 22 Dec 2026, Wed 23 Dec 2026 …)',
    ],
    'days taken out' => [new CalendarEdit(remove: [4, 5]), false, '2 days taken out'],
    'all of it' => [
        new CalendarEdit([], [closedOn('2026-12-24')], [9]),
        true,
        'its week, 1 day added (Thu 24 Dec 2026), 1 day taken out',
    ],
    'nothing' => [new CalendarEdit, false, ''],
]);
