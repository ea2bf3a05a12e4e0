<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Plan\SetFor;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* Whose tools are set already: common practice, worked out by hand. */

/**
 * Steps 1, 2 … at work centre 1, each in a job of its own.
 *
 * @param  array<int, string|null>  $families  by step
 * @param  list<int>  $started
 */
function setShop(array $families, array $started = []): Problem
{
    $press = new WorkCentre('Press', 2, OpenWindows::of([[0, 5000]], [], 0, 5000), familyNow: [1 => 'red']);
    $jobs = array_map(
        fn (int $id): Job => new Job($id, "job {$id}", 1, null, [
            new Step($id, 1, 60, started: in_array($id, $started, true), family: $families[$id]),
        ]),
        array_keys($families),
    );

    return new Problem(0, [1 => $press], $jobs);
}

it('takes the next step on a machine set up for its family, and only that', function (
    array $families,
    array $started,
    array $plan,
    array $set,
) {
    $plan = array_map(fn (array $at): PlannedStep => new PlannedStep($at[1], $at[1] + 60, $at[0]), $plan);
    expect(SetFor::steps(setShop($families, $started), $plan))->toBe($set);
})->with([
    'the first of two of that family' => [[1 => 'red', 2 => 'red'], [], [1 => [1, 100], 2 => [1, 0]], [2]],
    'another family comes first' => [[1 => 'blue', 2 => 'red'], [], [1 => [1, 0], 2 => [1, 60]], []],
    'the other machine is set up for nothing that is known' => [[1 => 'red'], [], [1 => [2, 0]], []],
    'what runs has its tools; the next of its family too' => [
        [1 => 'red', 2 => 'red'],
        [1],
        [1 => [1, 0], 2 => [1, 60]],
        [2],
    ],
    'a step without a family' => [[1 => null], [], [1 => [1, 0]], []],
    'what is not planned' => [[1 => 'red'], [], [], []],
    'what is done outside' => [[1 => 'red'], [], [1 => [null, 0]], []],
]);
