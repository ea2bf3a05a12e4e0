<?php

use KeepPace\Core\Calendar\OpenWindows;

/* Open time as windows, against a line of minutes that are coloured one by one. */

const LINE = 600;

/** @return list<array{int, int}> */
function randomSpans(int $most, int $from = -20, int $to = LINE + 20): array
{
    $spans = [];
    for ($i = 0, $n = mt_rand(0, $most); $i < $n; $i++) {
        $start = mt_rand($from, $to);
        $spans[] = [$start, $start + mt_rand(0, 120)];
    }

    return $spans;
}

/** @return array<int, bool> minute by minute */
function coloured(array $open, array $shut): array
{
    $line = array_fill(0, LINE, false);
    foreach ([[$open, true], [$shut, false]] as [$spans, $is]) {
        foreach ($spans as [$from, $to]) {
            for ($minute = max(0, $from); $minute < min(LINE, $to); $minute++) {
                $line[$minute] = $is;
            }
        }
    }

    return $line;
}

it('agrees with a line of minutes, whatever overlaps, touches or sticks out', function (int $seed) {
    mt_srand($seed);
    for ($round = 0; $round < 40; $round++) {
        [$open, $shut] = [randomSpans(6), randomSpans(4)];
        $windows = OpenWindows::of($open, $shut, 0, LINE);
        $line = coloured($open, $shut);
        $openAfter = fn (int $at): array => array_keys(array_filter(array_slice($line, $at, null, true)));
        for ($at = 0; $at < LINE; $at += 7) {
            $to = mt_rand($at, LINE);
            $minutes = mt_rand(1, 90);
            $next = $openAfter($at);
            expect($windows->isOpen($at))->toBe($line[$at])
                ->and($windows->nextOpen($at))->toBe($next[0] ?? null)
                ->and($windows->minutesBetween($at, $to))
                ->toBe(count(array_filter(array_slice($line, $at, $to - $at))))
                // the end of the last of so many open minutes
                ->and($windows->finish($at, $minutes))
                ->toBe(isset($next[$minutes - 1]) ? $next[$minutes - 1] + 1 : null);
        }
    }
})->with([1, 2, 3, 29]);

it('finds the last start from which so many open minutes end in time', function (int $seed) {
    mt_srand($seed);
    for ($round = 0; $round < 40; $round++) {
        $windows = OpenWindows::of(randomSpans(6), randomSpans(3), 0, LINE);
        for ($try = 0; $try < 20; $try++) {
            [$end, $minutes] = [mt_rand(1, LINE), mt_rand(1, 80)];
            $start = $windows->startFor($end, $minutes);
            if ($start === null) {
                expect($windows->minutesBetween(0, $end))->toBeLessThan($minutes);

                continue;
            }
            expect($windows->minutesBetween($start, $end))->toBe($minutes)
                ->and($windows->isOpen($start))->toBeTrue()
                ->and($windows->finish($start, $minutes))->toBeLessThanOrEqual($end);
        }
    }
})->with([5, 6]);

it('is made again from its own windows', function () {
    mt_srand(11);
    for ($round = 0; $round < 60; $round++) {
        $windows = OpenWindows::of(randomSpans(8), randomSpans(4), 0, LINE);
        expect(OpenWindows::of($windows->spans(), [], 0, LINE))->toEqual($windows);
        foreach ($windows->spans() as $i => [$from, $to]) {
            expect($from)->toBeLessThan($to)
                ->and($windows->spans()[$i + 1][0] ?? PHP_INT_MAX)->toBeGreaterThan($to);
        }
    }
});

it('has no window where nothing is open, and one where what touches is open', function () {
    expect(OpenWindows::of([], [], 0, LINE)->spans())->toBe([])
        ->and(OpenWindows::of([[10, 20]], [[0, 30]], 0, LINE)->spans())->toBe([])
        ->and(OpenWindows::of([[10, 20], [20, 30]], [], 0, LINE)->spans())->toBe([[10, 30]])
        ->and(OpenWindows::of([[10, 40]], [[20, 30]], 0, LINE)->spans())->toBe([[10, 20], [30, 40]])
        ->and(OpenWindows::of([[-50, 5], [590, 700]], [], 0, LINE)->spans())->toBe([[0, 5], [590, LINE]]);
});
