<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Search\Urgency;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* What parts are worth is what they are for: common practice, worked out by hand. */

/** A bench open all day and one open eight hours of twenty-four; a job of two steps for another of one. */
function partsAndWhole(?int $due): Net
{
    $days = array_map(fn (int $day): array => [1440 * $day, 1440 * $day + 480], range(0, 9));
    $centres = [
        1 => new WorkCentre('All day', 1, OpenWindows::of([[0, 14_400]], [], 0, 14_400)),
        2 => new WorkCentre('Eight hours', 1, OpenWindows::of($days, [], 0, 14_400)),
    ];

    return Net::of(new Problem(0, $centres, [
        new Job(1, 'parts', 7, null, [new Step(1, 1, 60, wait: 30), new Step(2, 2, 100)]),
        new Job(2, 'whole', 2, $due, [new Step(3, 1, 200, afterJobs: [1])], 5),
    ]));
}

it('gives parts the due date, weight and rank of what they are for', function () {
    $of = Urgency::of(partsAndWhole(5000));
    // 100 minutes of eight hours a day take, by and large, 277 with the nights: 9 nights between 10 days of work
    $usual = (int) round(100 * (9 * 1440 + 480) / (10 * 480));
    expect($of->span)->toBe([90, $usual, 200])
        ->and($of->latest)->toBe([4800 - $usual, 4800, 5000])
        ->and($of->left)->toBe([90 + $usual + 200, $usual + 200, 200])
        ->and($of->weight)->toBe([5, 5, 5])
        ->and($of->rank)->toBe([2, 2, 2])
        ->and($of->usualSpan())->toEqual((90 + $usual + 200) / 3);
});

it('has no hurry where nothing has a date', function () {
    $of = Urgency::of(partsAndWhole(null));
    expect(min($of->latest))->toBeGreaterThan(Windows::NEVER / 2)
        ->and($of->weight)->toBe([1, 1, 1]);
});

it('is worked out once for a net', function () {
    $net = partsAndWhole(5000);
    expect(Urgency::of($net))->toBe(Urgency::of($net))
        ->and(Urgency::of(partsAndWhole(5000)))->not->toBe(Urgency::of($net));
});
