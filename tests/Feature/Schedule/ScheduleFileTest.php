<?php

use Illuminate\Support\Facades\Artisan;
use KeepPace\Core\Scheduling\JobShop\ShopFile;
use Tests\Core\Scheduling\JobShop\ShopChecker;

it('schedules a published job shop from its file and writes starts a checker accepts', function () {
    $file = base_path('tests/Core/Scheduling/JobShop/ft06.txt');
    $out = (string) tempnam(sys_get_temp_dir(), 'starts');
    $this->artisan('pace:schedule-file', ['file' => $file, '--iterations' => 4000, '--target' => 55, '--out' => $out])
        ->assertSuccessful()
        ->expectsOutputToContain('makespan 55');
    expect(ShopChecker::check((string) file_get_contents($file), (string) file_get_contents($out)))->toBe([55, []]);
    unlink($out);
});

it('says plainly what it cannot read', function (array $arguments, string $says) {
    $this->artisan('pace:schedule-file', $arguments)->assertFailed()->expectsOutputToContain($says);
})->with([
    'no such file' => [['file' => '/nowhere'], 'There is no file /nowhere'],
    'not a job shop' => [fn () => ['file' => base_path('README.md')], 'holds something else than whole numbers'],
    'tardiness without dates' => [
        fn () => ['file' => base_path('tests/Core/Scheduling/JobShop/ft06.txt'), '--objective' => 'tardiness'],
        'has no due dates',
    ],
    'no such objective' => [
        fn () => ['file' => base_path('tests/Core/Scheduling/cases/tiny-c.json'), '--objective' => 'beauty'],
        'must be makespan or tardiness',
    ],
    'no number' => [
        fn () => ['file' => base_path('README.md'), '--seconds' => 'ten'],
        '--seconds must be a whole number',
    ],
    'a number nobody waits for' => [
        fn () => ['file' => base_path('README.md'), '--seed' => '9999999999'],
        '--seed must be a whole number of 9 digits at most.',
    ],
    'a place nobody can write to' => [
        fn () => [
            'file' => base_path('tests/Core/Scheduling/JobShop/ft06.txt'),
            '--iterations' => 50,
            '--out' => '/nowhere/starts',
        ],
        'The schedule cannot be written to /nowhere/starts.',
    ],
    'a crew of a million million' => [
        function (): array {
            $case = (string) file_get_contents(base_path('tests/Core/Scheduling/cases/tiny-crew-a.json'));
            $file = (string) tempnam(sys_get_temp_dir(), 'case');
            file_put_contents($file, preg_replace('/"count": *\d+/', '"count": 1000000000000', $case));

            return ['file' => $file];
        },
        'count must be a whole number from 0 to 999.',
    ],
]);

it('cuts by time', function () {
    $file = base_path('tests/Core/Scheduling/JobShop/ft20.txt');
    $this->artisan('pace:schedule-file', ['file' => $file, '--seconds' => 0])
        ->assertSuccessful()
        ->expectsOutputToContain('iterations');
    expect(ShopFile::read((string) file_get_contents($file))->operations())->toBe(100);
});

it(
    'schedules a calendar case from its file for the least weighted tardiness, and writes each operation once',
    function () {
        $file = base_path('tests/Core/Scheduling/cases/tiny-c.json');
        $out = (string) tempnam(sys_get_temp_dir(), 'plan');
        // the proven optimum, by exhaustive search
        $this->artisan('pace:schedule-file', [
            'file' => $file,
            '--objective' => 'tardiness',
            '--iterations' => 20000,
            '--out' => $out,
        ])
            ->assertSuccessful()
            ->expectsOutputToContain('weighted tardiness 9240, sum of completions 39020');
        $plan = json_decode((string) file_get_contents($out), true);
        $case = json_decode((string) file_get_contents($file), true);
        expect($plan['objective'])->toBe(['total_weighted_tardiness' => 9240, 'sum_completion' => 39020])
            ->and(array_map(fn (array $at): string => "{$at['order']}/{$at['op']}", $plan['operations']))
            ->toEqualCanonicalizing(
                array_merge(
                    ...array_map(
                        fn (array $order): array => array_map(
                            fn (array $op): string => "{$order['id']}/{$op['op']}",
                            $order['operations'],
                        ),
                        $case['orders'],
                    ),
                ),
            );
        unlink($out);
        // the last of all ends no later when only that is asked for
        $last = max(array_column($plan['operations'], 'end'));
        Artisan::call('pace:schedule-file', ['file' => $file, '--objective' => 'makespan', '--iterations' => 20000]);
        expect(preg_match('/^makespan (\d+), weighted tardiness (\d+)/', Artisan::output(), $said))->toBe(1)
            ->and((int) $said[1])->toBeLessThan($last)
            ->and((int) $said[2])->toBeGreaterThanOrEqual(9240);
    },
);

it('reads a case of the second format, with ways, and writes at which work centre each is done', function () {
    $out = (string) tempnam(sys_get_temp_dir(), 'plan');
    // two jobs on one slow machine and a fast other one: the optimum, by hand, has one on each
    $case = [
        'format' => 'calendar-job-shop-2',
        'name' => 'two-ways',
        'work_centres' => [
            ['id' => 'A', 'machines' => 1, 'shifts' => [['from' => 0, 'to' => 5000]]],
            ['id' => 'B', 'machines' => 1, 'shifts' => [['from' => 0, 'to' => 5000]]],
        ],
        'orders' => array_map(fn (int $n): array => [
            'id' => "O{$n}",
            'release' => 0,
            'due' => 100,
            'weight' => 1,
            'operations' => [[
                'op' => 1,
                'work_centre' => 'A',
                'setup_min' => 10,
                'run_min_per_unit' => 2.5,
                'quantity' => 33,
                'ways' => [['work_centre' => 'B', 'percent' => 140]],
            ]],
        ], [1, 2]),
    ];
    $file = (string) tempnam(sys_get_temp_dir(), 'case');
    $with = function (array $change) use ($case, $file): string {
        file_put_contents($file, json_encode(array_replace_recursive($case, $change)));

        return $file;
    };
    // 10 + 82.5 minutes are 93 at A, and 130 at B (129.5 rounded up): 30 late
    $this->artisan('pace:schedule-file', ['file' => $with([]), '--iterations' => 500, '--out' => $out])
        ->assertSuccessful()
        ->expectsOutputToContain('weighted tardiness 30, sum of completions 223');
    $at = array_column(json_decode((string) file_get_contents($out), true)['operations'], 'work_centre');
    sort($at);
    expect($at)->toBe(['A', 'B']);
    $self = ['orders' => [['operations' => [['ways' => [['work_centre' => 'A', 'percent' => 100]]]]]]];
    $hole = ['work_centres' => [['changeover' => ['initial' => [null], 'minutes' => ['F' => ['F' => 0], 'G' => []]]]]];
    $none = ['work_centres' => [['crew' => 'C']]];
    foreach ([
        'it is another way of itself' => $self,
        'the changeover from F to G is not named' => $hole,
        'there is no crew C' => $none,
        'it is pinned where it cannot be done' => [
            'orders' => [['operations' => [[
                'pinned' => ['work_centre' => 'B', 'machine' => 1, 'start' => 0],
                'ways' => null,
            ]]]],
        ],
    ] as $says => $change) {
        $this->artisan('pace:schedule-file', ['file' => $with($change)])->assertFailed()->expectsOutputToContain($says);
    }
    unlink($file);
    unlink($out);
});
