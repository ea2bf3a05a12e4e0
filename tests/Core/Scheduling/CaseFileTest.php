<?php

use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Cases\CaseFile;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;

/* Cases of the format calendar-job-shop-2, as its README describes them: what is read, and what is refused by name. */

/** @return array<string, mixed> a case with one of everything the second format knows */
function wholeCase(): array
{
    $week = [['from' => 480, 'to' => 960], ['from' => 1920, 'to' => 2400]];

    return [
        'format' => 'calendar-job-shop-2',
        'name' => 'one of each',
        'fence' => 500,
        'crews' => [['id' => 'fitters', 'people' => [['from' => 480, 'to' => 960, 'count' => 2]]]],
        'work_centres' => [
            ['id' => 'saw', 'machines' => 2, 'shifts' => $week, 'crew' => 'fitters'],
            [
                'id' => 'mill',
                'machines' => 1,
                'shifts' => $week,
                'changeover' => [
                    'minutes' => ['red' => ['red' => 0, 'blue' => 20], 'blue' => ['red' => 30, 'blue' => 0]],
                    'initial' => ['red'],
                ],
            ],
            ['id' => 'oven', 'machines' => 1, 'shifts' => $week, 'batch' => ['capacity' => 4]],
        ],
        'orders' => [
            [
                'id' => 'O1', 'release' => 0, 'due' => 2000, 'weight' => 2, 'predecessors' => [],
                'operations' => [
                    caseOperation(1, 'saw', ['people_setup' => 1, 'people_run' => 1, 'transfer' => 3]),
                    caseOperation(2, 'mill', ['family' => 'blue', 'ways' => [
                        ['work_centre' => 'saw', 'percent' => 150],
                    ]]),
                    caseOperation(3, 'oven', ['load' => 2]),
                ],
            ],
            [
                'id' => 'O2', 'release' => 100, 'due' => 2400, 'weight' => 1, 'predecessors' => ['O1'],
                'operations' => [
                    caseOperation(1, 'mill', [
                        'family' => 'red',
                        'pinned' => ['work_centre' => 'mill', 'machine' => 1, 'start' => 1920],
                    ]),
                    ['op' => 2, 'outside' => true, 'lead_min' => 1440],
                ],
            ],
        ],
    ];
}

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function caseOperation(int $op, string $centre, array $more = []): array
{
    return [
        'op' => $op, 'work_centre' => $centre, 'setup_min' => 10, 'run_min_per_unit' => 2.5, 'quantity' => 10, ...$more,
    ];
}

/** @param  array<string, mixed>  $case */
function readCase(array $case): CaseFile
{
    return CaseFile::read((string) json_encode($case));
}

/** @return array<string, Step> by order and operation */
function stepsOfCase(CaseFile $case): array
{
    $steps = [];
    foreach ($case->problem->jobs as $job) {
        foreach ($job->steps as $i => $step) {
            $steps[$job->name.' '.($i + 1)] = $step;
        }
    }

    return $steps;
}

it('reads work centres with their machines, hours, loads and changeovers', function () {
    $centres = readCase(wholeCase())->problem->workCentres;
    expect(array_map(fn (WorkCentre $one): string => $one->name, $centres))->toBe(['saw', 'mill', 'oven'])
        ->and($centres[0]->machines)->toBe(2)
        ->and($centres[2]->batch)->toBe(4)
        ->and($centres[0]->batch)->toBe(0)
        ->and($centres[1]->familyNow)->toBe([1 => 'red'])
        // hours come again each week
        ->and(array_slice($centres[0]->open->starts, 0, 4))->toBe([480, 1920, 10560, 12000])
        ->and(array_slice($centres[0]->open->ends, 0, 4))->toBe([960, 2400, 11040, 12480]);
});

it('reads as many people as are there at once, each in the hours of so many', function () {
    $case = wholeCase();
    $case['crews'][0]['people'] = [
        ['from' => 480, 'to' => 960, 'count' => 3],
        ['from' => 1920, 'to' => 2400, 'count' => 1],
    ];
    $persons = readCase($case)->problem->crews[0]->persons;
    $first = fn (int $person): array => array_slice($persons[$person]->present->starts, 0, 2);
    expect($persons)->toHaveCount(3)
        ->and($first(0))->toBe([480, 1920])
        ->and($first(1))->toBe([480, 10560])
        ->and($first(2))->toBe([480, 10560]);
});

it('reads an operation in whole minutes, rounded up as one, by each of its ways', function () {
    $steps = stepsOfCase(readCase(wholeCase()));
    // 10 + 10 × 2.5 = 35; in the way that takes 150 per cent 52.5, up to 53, of which 15 set up
    expect([$steps['O1 1']->setup, $steps['O1 1']->minutes])->toBe([10, 25])
        ->and([$steps['O1 2']->alternatives[0]->setup, $steps['O1 2']->alternatives[0]->minutes])->toBe([15, 38])
        ->and($steps['O1 2']->alternatives[0]->workCentre)->toBe(0)
        ->and($steps['O1 2']->family)->toBe('blue')
        ->and($steps['O1 3']->size)->toBe(2)
        // people are asked for where the work centre has a crew, and nowhere else
        ->and($steps['O1 1']->crewing?->setup)->toBe(1)
        ->and($steps['O1 2']->crewing)->toBeNull();
});

it('passes three of ten on when they are done; what is left for the next behind the last is one', function () {
    $passOn = stepsOfCase(readCase(wholeCase()))['O1 1']->passOn;
    // first three: 7.5, up to 8; behind the last one piece at the slowest way of the next: 2.5 × 150 % up to 4
    expect([$passOn?->first, $passOn?->last])->toBe([8, 4]);
});

it('passes nothing on before an oven, in one lot, or behind the last operation', function (Closure $change) {
    $case = wholeCase();
    $change($case);
    expect(stepsOfCase(readCase($case))['O1 1']->passOn)->toBeNull();
})->with([
    'to an oven' => [function (array &$case): void {
        $case['orders'][0]['operations'][1]['work_centre'] = 'oven';
        unset($case['orders'][0]['operations'][1]['ways']);
    }],
    'all at once' => [function (array &$case): void {
        $case['orders'][0]['operations'][0]['transfer'] = 10;
    }],
    'the only one' => [function (array &$case): void {
        $case['orders'][0]['operations'] = [$case['orders'][0]['operations'][0]];
    }],
]);

it('reads pins, the fence, what is waited for and what is done outside', function () {
    $case = readCase(wholeCase());
    $steps = stepsOfCase($case);
    expect([$steps['O2 1']->pin?->start, $steps['O2 1']->pin?->machine, $steps['O2 1']->workCentre])->toBe([1920, 1, 1])
        // a pinned step is not held back, the others begin behind the fence
        ->and([$steps['O2 1']->heldBackTo, $steps['O1 1']->heldBackTo])->toBe([0, 500])
        ->and($steps['O2 1']->afterJobs)->toBe([0])
        ->and($steps['O2 1']->materialAt)->toBe(100)
        ->and([$steps['O2 2']->workCentre, $steps['O2 2']->minutes])->toBe([null, 1440])
        ->and(array_map(fn (Job $job): int => $job->weight, $case->problem->jobs))->toBe([2, 1]);
});

it('writes each operation of a schedule by the names of the case', function () {
    $case = readCase(wholeCase());
    $schedule = Loading::load(Net::of($case->problem), range(0, 4));
    /** @var array{operations: list<array{order: string, op: int, work_centre: string|null, start: int}>} $written */
    $written = json_decode($case->write($schedule, [0, 0]), true);
    $names = array_map(
        fn (array $one): string => "{$one['order']}-{$one['op']} ".($one['work_centre'] ?? 'outside'),
        $written['operations'],
    );
    sort($names);
    expect($names)->toHaveCount(5)
        ->and($names[3])->toBe('O2-1 mill')
        ->and($names[4])->toBe('O2-2 outside');
});

it('names what is not as it should be, and where it stands', function (Closure $change, string $says) {
    $case = wholeCase();
    $change($case);
    expect(fn () => readCase($case))->toThrow(Refused::class, $says);
})->with([
    [fn (array &$case) => $case['work_centres'][0]['crew'] = 'nobody', 'saw: there is no crew nobody.'],
    [fn (array &$case) => $case['work_centres'][0]['machines'] = -1, 'saw: machines must be a whole number'],
    [
        function (array &$case): void {
            unset($case['work_centres'][1]['changeover']['minutes']['blue']['red']);
        },
        'mill: the changeover from blue to red is not named.',
    ],
    [fn (array &$case) => $case['orders'][1]['predecessors'] = ['O9'], 'O2: predecessors names an order that'],
    [
        fn (array &$case) => $case['orders'][0]['operations'][1]['ways'][0]['work_centre'] = 'mill',
        'O1, operation 2: it is another way of itself.',
    ],
    [
        fn (array &$case) => $case['orders'][0]['operations'][1]['ways'][] = ['work_centre' => 'saw', 'percent' => 90],
        'O1, operation 2: saw stands twice among its ways.',
    ],
    [
        fn (array &$case) => $case['orders'][1]['operations'][0]['pinned']['work_centre'] = 'oven',
        'O2, operation 1: it is pinned where it cannot be done.',
    ],
    [fn (array &$case) => $case['orders'][0]['operations'][2]['quantity'] = 2.5, 'quantity must be a whole number'],
    [fn (array &$case) => $case['orders'][0]['weight'] = '2', 'O1: weight must be a whole number from 0 to'],
]);

it('breaks on no case, whatever stands in one of its fields: it is read, or refused by name', function () {
    $wrong = [null, -1, 0, 2.5, 10 ** 12, '', 'x', true, [], [[]], ['x' => []], [1, 2]];
    $tried = $refused = 0;
    $paths = function (array $of, array $path = []) use (&$paths): array {
        $found = [];
        foreach ($of as $key => $value) {
            $found[] = [...$path, $key];
            is_array($value) && array_push($found, ...$paths($value, [...$path, $key]));
        }

        return $found;
    };
    foreach ($paths(wholeCase()) as $path) {
        foreach ($wrong as $value) {
            $case = wholeCase();
            $field = &$case;
            foreach ($path as $key) {
                $field = &$field[$key];
            }
            $field = $value;
            unset($field);
            $tried++;
            try {
                readCase($case);
            } catch (Refused $says) {
                expect($says->getMessage())->toEndWith('.');
                $refused++;
            }
        }
    }
    expect($tried)->toBeGreaterThan(1000)->and($refused)->toBeGreaterThan($tried / 2);
});
