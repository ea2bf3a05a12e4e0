<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Plan\QuietTime;
use KeepPace\Core\Scheduling\WorkCentre;

/* Which spans a drawing may fold: our own rule, nights and weekends of most machines. Minutes from a Monday 00:00. */

/** @param  list<array{int, int}>  $hours  of a day, for five days of a week */
function workingWeek(array $hours, int $weeks = 1): OpenWindows
{
    $open = [];
    for ($day = 0; $day < 7 * $weeks; $day++) {
        foreach ($day % 7 < 5 ? $hours : [] as [$from, $to]) {
            $open[] = [1440 * $day + 60 * $from, 1440 * $day + 60 * $to];
        }
    }

    return OpenWindows::of($open, [], 0, 7 * 1440 * $weeks);
}

it('folds nights and weekends, not breaks', function () {
    $centres = [1 => new WorkCentre('Saw', 2, workingWeek([[7, 12], [13, 16]]))];
    $quiet = QuietTime::of($centres, 0, 7 * 1440);
    expect($quiet)->toHaveCount(6) // before Monday, four nights, and the weekend with Friday's night
        ->and($quiet[0])->toBe([0, 420])
        ->and($quiet[1])->toBe([960, 1860])
        ->and($quiet[5])->toBe([4 * 1440 + 960, 7 * 1440]);
});

it('folds a night in which one oven of many machines goes on, and not one in which a quarter do', function () {
    $round = OpenWindows::of([[0, 7 * 1440]], [], 0, 7 * 1440);
    $with = fn (int $ovens): array => QuietTime::of(
        [1 => new WorkCentre('Saw', 6, workingWeek([[7, 16]])), 2 => new WorkCentre('Oven', $ovens, $round)],
        0,
        7 * 1440,
    );
    expect($with(1))->toHaveCount(6)->and($with(2))->toBe([]);
    // asked for less than the oven is open: the last night is told once
    $centres = [1 => new WorkCentre('Saw', 6, workingWeek([[7, 16]])), 2 => new WorkCentre('Oven', 1, $round)];
    expect(QuietTime::of($centres, 600, 1200))->toBe([[960, 1200]]);
});

it('counts a machine by its own hours, stays within what is asked, and folds nothing where all is open', function () {
    $night = workingWeek([[0, 7], [16, 24]]);
    $own = [1 => new WorkCentre('Saw', 2, workingWeek([[7, 16]]), [2 => $night])];
    expect(QuietTime::of($own, 0, 5 * 1440))->toBe([])
        ->and(QuietTime::of([1 => new WorkCentre('Saw', 1, workingWeek([[7, 16]]))], 1000, 1440 + 600))
        ->toBe([[1000, 1440 + 420]])
        ->and(QuietTime::of([], 0, 1440))->toBe([]);
});
