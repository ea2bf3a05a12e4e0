<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Net\FlatWindows;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Net\Windows;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\WorkCentre;

/** @return list<int> open minutes from an origin on, counted one by one from plain spans */
function openMinutes(array $spans, int $origin): array
{
    $minutes = [];
    foreach ($spans as [$from, $to]) {
        for ($minute = max($from, $origin); $minute < $to; $minute++) {
            $minutes[$minute - $origin] = true;
        }
    }
    ksort($minutes);

    return array_keys($minutes);
}

it('answers as counting minutes one by one does, on random calendars', function () {
    mt_srand(64);
    for ($round = 0; $round < 60; $round++) {
        $spans = [];
        for ($t = mt_rand(0, 90); $t < 900; $t += mt_rand(1, 90)) {
            $spans[] = [$t, $t += mt_rand(1, 120)];
        }
        $origin = mt_rand(0, 200);
        $windows = Windows::of(OpenWindows::of($spans, [], 0, 2000), $origin);
        $open = openMinutes($spans, $origin);
        for ($minute = 0; $minute < 700; $minute += mt_rand(1, 9)) {
            $before = count(array_filter($open, fn (int $m): bool => $m < $minute));
            $work = mt_rand(1, 150);
            expect($windows->total($minute))->toBe($before)
                ->and($windows->nextOpen($minute))->toBe($open[$before] ?? Windows::NEVER);
            if (isset($open[$before + $work - 1])) {
                expect($windows->finish($minute, $work))->toBe($open[$before + $work - 1] + 1);
            } else {
                expect($windows->finish($minute, $work))->toBeGreaterThanOrEqual(Windows::NEVER);
            }
            // the latest open minute from which so many are done by then
            expect($windows->startFor($minute, $work))->toBe($before < $work ? -1 : $open[$before - $work]);
        }
    }
});

it('begins work later that may not end before something is through', function (
    int $least,
    array $expected,
) {
    // open from 0 to 480 and from 1440 to 1920; setup of 20 minutes, run of 40; worked out by hand
    $windows = Windows::of(OpenWindows::of([[0, 480], [1440, 1920]], [], 0, 5000), 0);
    expect($windows->endingNotBefore($least, 0, 60, 20, 60))->toBe($expected);
})->with([
    'nothing to wait for' => [60, [0, 60]],
    'later that day' => [300, [240, 300]],
    'at closing time' => [480, [420, 480]],
    // begun any sooner it would end that evening
    'in the night' => [500, [421, 1441]],
    'next day' => [1450, [430, 1450]],
    'behind all that is open: never' => [2000, [1861, Windows::NEVER + 1]],
]);

it('gives the same windows in one row for all work centres', function () {
    $spans = [
        1 => [[100, 250], [300, 301], [1000, 1100]],
        2 => [],
        3 => [[0, 5000]],
        4 => [[100, 250], [300, 301], [1000, 1100]],
    ];
    $net = Net::of(
        new Problem(
            0,
            array_map(
                fn (array $open): WorkCentre => new WorkCentre('Bench', 1, OpenWindows::of($open, [], 0, 6000)),
                $spans,
            ),
            [],
        ),
    );
    $row = new FlatWindows($net->open);
    expect($row->base[3])->toBe($row->base[0])->and(count($row->bucket))->toBe(3 * $row->buckets);
    foreach ($net->open as $c => $open) {
        for ($minute = 0; $minute < 6000; $minute += 7) {
            $k = $minute >> 6 < $row->buckets ? $row->bucket[$row->base[$c] + ($minute >> 6)] : $row->last[$c];
            while ($row->end[$k] <= $minute) {
                $k++;
            }
            expect([$row->start[$k], $row->end[$k]])->toBe([
                $open->start[$open->at($minute)],
                $open->end[$open->at($minute)],
            ]);
        }
    }
});

it('is cut to the spans in which others are there', function () {
    $windows = Windows::of(OpenWindows::of([[0, 100], [200, 300], [400, 500]], [], 0, 1000), 0)->within([
        [50, 220],
        [260, 450],
    ]);
    expect(array_slice($windows->start, 0, $windows->last))->toBe([50, 200, 260, 400])
        ->and(array_slice($windows->end, 0, $windows->last))->toBe([100, 220, 300, 450])
        ->and($windows->total(1000))->toBe(160)
        ->and($windows->longest())->toBe(50);
});

it('is never open without windows', function () {
    $windows = Windows::of(OpenWindows::of([], [], 0, 1000), 0);
    expect($windows->nextOpen(5))->toBe(Windows::NEVER)
        ->and($windows->startFor(500, 1))->toBe(-1)
        ->and($windows->stretch())->toBe(1.0);
});
