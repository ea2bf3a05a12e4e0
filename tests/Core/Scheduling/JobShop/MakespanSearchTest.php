<?php

use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\JobShop\JobShop;
use KeepPace\Core\Scheduling\JobShop\MakespanSearch;
use KeepPace\Core\Scheduling\JobShop\ShopFile;
use Tests\Core\Scheduling\JobShop\ShopChecker;

/** @return array{int, list<string>, int} makespan by the checker, faults, and the makespan the search says */
function search(string $text, int $seed, int $iterations, int $target = 0): array
{
    $shop = ShopFile::read($text);
    $schedule = MakespanSearch::solve($shop, $seed, $iterations, fn (): bool => true, $target);
    [$span, $faults] = ShopChecker::check($text, ShopFile::write($shop, $schedule));

    return [$span, $faults, $schedule->makespan];
}

it('reaches the proven optimum of published job shops', function (string $file, int $optimum, int $iterations) {
    expect(search((string) file_get_contents(__DIR__."/{$file}.txt"), 1, $iterations, $optimum))->toBe([
        $optimum,
        [],
        $optimum,
    ]);
})->with([
    'ft06: Fisher and Thompson 1963' => ['ft06', 55, 4_000],
    'ft20: Fisher and Thompson 1963' => ['ft20', 1165, 60_000],
]);

it('comes within two per cent of ft10 soon: Fisher and Thompson 1963, optimum 930', function (int $seed) {
    [$span, $faults, $said] = search((string) file_get_contents(__DIR__.'/ft10.txt'), $seed, 40_000, 948);
    expect($faults)->toBe([])->and($span)->toBe($said)->toBeGreaterThanOrEqual(930)->toBeLessThanOrEqual(948);
})->with([1, 2, 3]);

it(
    'finds the least makespan of two machines in sequence: Johnson, Naval Research Logistics Quarterly 1 (1954); '
        .'value from memory',
    function () {
        // jobs (4,5) (4,1) (30,4) (6,30) (2,3): 47
        expect(search("5 2\n0 4 1 5\n0 4 1 1\n0 30 1 4\n0 6 1 30\n0 2 1 3\n", 3, 2_000)[0])->toBe(47);
    });

it('is as good as trying everything, on tiny random shops', function () {
    mt_srand(4);
    for ($round = 0; $round < 25; $round++) {
        $machines = mt_rand(2, 3);
        $jobs = mt_rand(2, 3);
        $text = "{$jobs} {$machines}\n";
        for ($j = 0; $j < $jobs; $j++) {
            $order = range(0, $machines - 1);
            shuffle($order);
            $text .= implode(' ', array_map(fn (int $machine): string => $machine.' '.mt_rand(1, 9), $order))."\n";
        }
        expect(search($text, $round, 1_500)[0])->toBe(ShopChecker::least($text), $text);
    }
});

it('is accepted by the checker on random shops, and is never worse than its first', function () {
    mt_srand(9);
    for ($round = 0; $round < 40; $round++) {
        $machines = mt_rand(1, 6);
        $jobs = mt_rand(1, 9);
        $text = "{$jobs} {$machines}\n";
        for ($j = 0; $j < $jobs; $j++) {
            $order = range(0, $machines - 1);
            shuffle($order);
            $text .= implode(' ', array_map(fn (int $machine): string => $machine.' '.mt_rand(0, 30), $order))."\n";
        }
        [$first] = search($text, $round, 1);
        [$later, $faults, $said] = search($text, $round, 400);
        expect($faults)->toBe([])->and($later)->toBe($said)->toBeLessThanOrEqual($first);
    }
});

it('is repeatable by seed and iterations, and a time limit only cuts', function () {
    $shop = ShopFile::read((string) file_get_contents(__DIR__.'/ft10.txt'));
    $run = fn (int $seed, int $iterations, ?int $cut = null): array => (array) MakespanSearch::solve(
        $shop,
        $seed,
        $iterations,
        fn (int $best, int $done): bool => $cut === null || $done < $cut,
    );
    expect($run(7, 3_000))->toBe($run(7, 3_000))->and($run(7, 3_000)['start'])->not->toBe($run(8, 3_000)['start']);
    $cut = $run(7, PHP_INT_MAX, 1_200);
    expect($cut['iterations'])->toBeLessThan(1_600)->and($cut['start'])->toBe($run(7, $cut['iterations'])['start']);
});

it('tells the best so far, which never rises', function () {
    $told = [];
    MakespanSearch::solve(ShopFile::read((string) file_get_contents(__DIR__.'/ft10.txt')), 2, 4_000,
        function (int $best) use (&$told): bool {
            $told[] = $best;

            return true;
        });
    $sorted = $told;
    rsort($sorted);
    expect($told)->toBe($sorted)->and(count($told))->toBeGreaterThan(10);
});

it('says which line of a file is wrong', function (string $text, string $says) {
    expect(fn () => ShopFile::read($text))->toThrow(Refused::class, $says);
})->with([
    'nothing' => ["# only a comment\n\n", 'holds no job shop'],
    'words' => ["2 2\n0 1 1 x\n", 'Line 2 holds something else'],
    'no head' => ["3\n", 'Line 1 must be the number of jobs'],
    'a pair too few' => ["1 2\n0 5\n", 'Line 2 has 2 numbers, 2 machines need 4'],
    'a job too few' => ["2 1\n0 5\n", '2 jobs are announced, 1 are there'],
    'a machine too high' => ["1 1\n1 5\n", 'Machines are 0 to 0'],
    'a negative time' => ["1 1\n0 -5\n", 'Line 2 holds something else'],
]);

it('schedules nothing, and one', function () {
    expect(MakespanSearch::solve(JobShop::of(1, []), 1, 10, fn (): bool => true)->makespan)->toBe(0)
        ->and(MakespanSearch::solve(JobShop::of(2, [[[0, 3], [1, 4]]]), 1, 10, fn (): bool => true)->makespan)->toBe(7);
});

it('has a checker that sees broken schedules', function (string $starts, string $says) {
    expect(implode('; ', ShopChecker::check("2 2\n0 3 1 2\n1 4 0 1\n", $starts)[1]))->toContain($says);
})->with([["0 2\n0 4\n", 'job 0 step 1 starts at 2'], ["0 3\n0 4\n", 'machine 1 does two at 3'],
    ["3 6\n0 4\n1 1\n", '3 lines for 2 jobs']]);
