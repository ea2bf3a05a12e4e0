<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Search\Dispatch;
use KeepPace\Core\Scheduling\Search\Rule;
use KeepPace\Core\Scheduling\SharedRun;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\WorkCentre;
use Tests\Core\Scheduling\FullChecker;

it('is accepted by the full checker on six hundred random shops in which everything happens', function () {
    mt_srand(1955);
    $placed = $all = 0;
    for ($round = 0; $round < 600; $round++) {
        $problem = FullChecker::random();
        $net = Net::of($problem);
        $order = Dispatch::order($net, Rule::cases()[$round % 6]);
        $schedule = Loading::load($net, $order, gaps: $round % 2 === 1);
        $faults = FullChecker::faults($problem, $schedule);
        if ($faults !== []) {
            $this->fail("round {$round}: ".implode('; ', $faults));
        }
        $placed += count($schedule->finish);
        $all += count($problem->jobs);
    }
    expect($placed / $all)->toBeGreaterThan(0.6);
});

/** @param  list<array{int, int}>  $spans */
function hours(array $spans = [[0, 20000]]): OpenWindows
{
    return OpenWindows::of($spans, [], 0, 20000);
}

/**
 * @param  array<int, WorkCentre>  $centres
 * @param  list<Step>  $steps  each a job of its own, in this order
 * @param  array<int, Crew>  $crews
 */
function loaded(array $centres, array $steps, array $crews = []): Schedule
{
    $job = fn (Step $step): Job => new Job($step->id, "order {$step->id}", $step->id, null, [$step]);
    $net = Net::of(new Problem(0, $centres, array_map($job, $steps), $crews));

    return Loading::load($net, range(0, max(0, $net->count - 1)));
}

/** @return list<int> start, setup end, run start, end */
function placed(Schedule $schedule, int $step): array
{
    $at = $schedule->steps[$step];

    return [$at->start, $at->setupEnd, $at->runStart, $at->end];
}

it('works while machine and crew are there, and runs on unattended', function () {
    // the crew is there 0-100 and 200-300; the machine always: 60 minutes of setup, 70 of run
    $crew = [1 => new Crew('setters', [new Person('A', hours([[0, 100], [200, 300]]))])];
    $centre = [1 => new WorkCentre('Mill', 1, hours())];
    expect(placed(loaded($centre, [new Step(1, 1, 70, setup: 60, crewing: new Crewing(1, 1, 1))], $crew), 1))
        ->toBe([0, 60, 60, 230])
        ->and(placed(loaded($centre, [new Step(1, 1, 70, setup: 60, crewing: new Crewing(1, 1, 0))], $crew), 1))
        ->toBe([0, 60, 60, 130]);
});

it('shares a crew between work centres, and asks for qualified persons together', function () {
    $centres = [
        1 => new WorkCentre('Mill', 1, hours()),
        2 => new WorkCentre('Weld', 1, hours()),
        3 => new WorkCentre('Bend', 1, hours()),
    ];
    $crew = [1 => new Crew('shop', [new Person('A', hours(), ['weld', 'bend']), new Person('B', hours(), ['weld'])])];
    $schedule = loaded(
        $centres,
        [
            new Step(1, 1, 50, crewing: new Crewing(1, 0, 1)),
            new Step(2, 2, 40, crewing: new Crewing(1, 0, 1, 'weld')),
            new Step(3, 3, 30, crewing: new Crewing(1, 0, 1, 'bend')),
        ],
        $crew,
    );
    // two are there for the first two; a third waits until 40, when A can be spared for bending
    expect(array_map(fn (int $id): int => $schedule->steps[$id]->start, [1, 2, 3]))->toBe([0, 0, 40]);
});

it('changes over by family, from what stands on the machine', function () {
    $changes = new Changeovers(['red' => ['blue' => 30, 'red' => 0], 'blue' => ['red' => 5]], 60);
    $centre = [1 => new WorkCentre('Coat', 1, hours(), changeovers: $changes, familyNow: [1 => 'red'])];
    $schedule = loaded($centre, [
        new Step(1, 1, 10, family: 'red'),
        new Step(2, 1, 10, setup: 4, family: 'blue'),
        new Step(3, 1, 10),
        new Step(4, 1, 10, family: 'red'),
        new Step(5, 1, 10, family: 'green'),
    ]);
    expect(array_map(fn (int $id): array => placed($schedule, $id), [1, 2, 3, 4, 5]))->toBe([
        [0, 0, 0, 10],
        [10, 44, 44, 54],
        [54, 54, 54, 64],
        [64, 69, 69, 79],
        [79, 139, 139, 149],
    ]);
});

it('sets up once for what runs together, and anew where something else stood in between', function () {
    // common practice: the set-up is done once, and again after another job was on the machine
    $changes = new Changeovers(
        ['red' => ['blue' => 30]],
        60,
        ['run 7' => new SharedRun(40, 'blue'), 'run 8' => new SharedRun(20)],
    );
    $centre = [1 => new WorkCentre('Press', 1, hours(), changeovers: $changes, familyNow: [1 => 'red'])];
    $schedule = loaded($centre, [
        new Step(1, 1, 10, family: 'run 7'),
        new Step(2, 1, 15, family: 'run 7'),
        new Step(3, 1, 5, setup: 5, family: Changeovers::NOTHING),
        new Step(4, 1, 10, family: 'run 7'),
        new Step(5, 1, 10, family: 'run 8'),
        new Step(6, 1, 10, family: 'run 8'),
        new Step(7, 1, 10, family: 'blue'),
    ]);
    expect(array_map(fn (int $id): array => placed($schedule, $id), [1, 2, 3, 4, 5, 6, 7]))->toBe([
        [0, 70, 70, 80], // thirty from red to blue, forty for the run
        [80, 80, 80, 95],
        [95, 100, 100, 105],
        [105, 145, 145, 155], // nothing is known of what the third left
        [155, 175, 175, 185],
        [185, 185, 185, 195],
        [195, 195, 195, 205],
    ])->and($changes->longestTo('run 7'))->toBe(100)
        ->and($changes->between(null, 'run 8'))->toBe(20)
        ->and($changes->between('run 7', null))->toBe(0);
});

it('fills a batch with one family up to its capacity', function () {
    $centre = [1 => new WorkCentre('Oven', 1, hours(), batch: 4)];
    $schedule = loaded($centre, [
        new Step(1, 1, 90, family: 'red', size: 2),
        new Step(2, 1, 90, family: 'red', size: 2),
        new Step(3, 1, 90, family: 'blue'),
        new Step(4, 1, 90, family: 'red'),
        new Step(5, 1, 60, materialAt: 91, family: 'red'),
    ]);
    // the fifth joins the fourth: it is there in time and no longer
    expect(
        array_map(fn (int $id): array => [$schedule->steps[$id]->start, $schedule->steps[$id]->end], [1, 2, 3, 4, 5]),
    )->toBe([[0, 90], [0, 90], [90, 180], [180, 270], [180, 270]]);
});

it('sets up ahead of the material unless marked, and just in time', function () {
    $centre = [1 => new WorkCentre('Mill', 1, hours([[0, 100], [200, 300]]))];
    expect(placed(loaded($centre, [new Step(1, 1, 20, materialAt: 210, setup: 30)]), 1))->toBe([80, 210, 210, 230])
        ->and(placed(loaded($centre, [new Step(1, 1, 20, materialAt: 210, setup: 30, setupNeedsMaterial: true)]), 1))
        ->toBe([210, 240, 240, 260]);
});

it('goes behind the next family where it cannot be set up for behind this one', function () {
    // 150 minutes from red to green fit no shift of 100, 10 from blue to green do
    $changes = new Changeovers(['red' => ['green' => 150], 'blue' => ['green' => 10]]);
    $shifts = hours([[0, 100], [200, 300], [400, 500]]);
    $centre = [1 => new WorkCentre('Mill', 1, $shifts, changeovers: $changes)];
    $steps = [
        new Step(1, 1, 60, family: 'red'),
        new Step(2, 1, 50, family: 'blue', pin: new Pin(200, 1)),
        new Step(3, 1, 40, family: 'green', unbroken: true),
    ];
    expect(placed(loaded($centre, $steps), 3))->toBe([250, 260, 260, 300]);
});

it('keeps what may not be interrupted in one window, and a run by its setup', function () {
    $centre = [1 => new WorkCentre('Mill', 1, hours([[0, 100], [200, 300]]))];
    expect(placed(loaded($centre, [new Step(1, 1, 60, materialAt: 50, unbroken: true)]), 1))->toBe([200, 200, 200, 260])
        ->and(placed(loaded($centre, [new Step(1, 1, 60, materialAt: 70, setup: 30, setupNeedsMaterial: true)]), 1))
        ->toBe([70, 100, 200, 260])
        // a minute later the setup ends at 201, with the run behind it
        ->and(
            placed(
                loaded($centre, [
                    new Step(1, 1, 60, materialAt: 70, setup: 30, setupNeedsMaterial: true, setupWithRun: true),
                ]),
                1,
            ),
        )
        ->toBe([71, 201, 201, 261]);
});

it('passes on parts, and begins late enough not to starve', function () {
    $jobs = fn (int $run): Problem => new Problem(
        0,
        [1 => new WorkCentre('Cut', 1, hours()), 2 => new WorkCentre('Bend', 1, hours())],
        [
            new Job(1, 'order 1', 1, null, [
                new Step(1, 1, 100, passOn: new PassOn(10, intdiv($run, 10))),
                new Step(2, 2, $run),
            ]),
        ],
    );
    $starts = fn (Problem $problem): int => Loading::load(Net::of($problem), [0, 1])->steps[2]->start;
    // slower than the step before: as soon as the first tenth is there; faster: so that the last tenth is done after it
    // came
    expect($starts($jobs(200)))->toBe(10)->and($starts($jobs(50)))->toBe(100 + 5 - 50);
});

it('takes another work centre, or the machine with hours of its own, where that ends sooner', function () {
    $centres = [
        1 => new WorkCentre('Mill', 2, hours([[0, 50], [500, 2000]]), [2 => hours([[40, 400]])]),
        2 => new WorkCentre('Old mill', 1, hours()),
    ];
    $schedule = loaded($centres, [
        new Step(1, 1, 50),
        new Step(2, 1, 50),
        new Step(3, 1, 100, alternatives: [new Alternative(2, 250, 20)]),
    ]);
    expect([$schedule->steps[1]->machine, $schedule->steps[2]->machine, $schedule->steps[2]->end])->toBe([1, 2, 90])
        ->and([$schedule->steps[3]->workCentre, $schedule->steps[3]->machine, $schedule->steps[3]->end])
        ->toBe([1, 2, 190]);
});

it('leaves a pinned step where it is pinned, and says when that cannot be', function () {
    $centre = [1 => new WorkCentre('Mill', 1, hours())];
    $schedule = loaded($centre, [new Step(1, 1, 60), new Step(2, 1, 60), new Step(3, 1, 10, pin: new Pin(100, 1)),
        new Step(4, 1, 10, materialAt: 300, pin: new Pin(250, 1))]);
    expect(array_map(fn (int $id): int => $schedule->steps[$id]->start, [1, 2, 3, 4]))->toBe([0, 110, 100, 300])
        ->and($schedule->notes)->toBe(['order 4 is pinned to a time before what it needs is there; it stands later.']);
});

it('waits for a supplier in the days he works', function () {
    $schedule = loaded(
        [],
        [
            new Step(1, null, 120, materialAt: 50, lead: hours([[0, 100], [500, 900]])),
            new Step(2, null, 120, materialAt: 50),
        ],
    );
    expect([$schedule->steps[1]->end, $schedule->steps[2]->end])->toBe([570, 170]);
});

it('names what cannot be, and schedules the rest', function (Step $step, string $says) {
    $centres = [
        1 => new WorkCentre('Mill', 1, hours([[0, 100], [200, 300]])),
        2 => new WorkCentre('Shut', 1, hours([])),
        3 => new WorkCentre('Empty', 0, hours()),
        4 => new WorkCentre('Oven', 1, hours(), batch: 4),
    ];
    $schedule = loaded(
        $centres,
        [$step, new Step(2, 1, 50)],
        [1 => new Crew('setters', [new Person('A', hours(), ['weld'])])],
    );
    expect($schedule->unplaced[1] ?? '')->toBe($says)
        ->and($schedule->steps[2]->end)->toBe(50);
})->with([
    [new Step(1, 2, 10), 'Shut has no open time ahead, and order 1 needs 10 minutes of it.'],
    [new Step(1, 1, 300), 'Mill has only 200 minutes open time ahead, and order 1 needs 300.'],
    [
        new Step(1, 1, 150, unbroken: true),
        'order 1 needs 150 minutes at Mill without a break; its longest open time is 100.',
    ],
    [new Step(1, 3, 10), 'Empty has no machine, and order 1 needs one.'],
    [new Step(1, 4, 10, size: 5), 'order 1 is a batch of 5, and Oven takes 4 at once.'],
    [new Step(1, 1, 10, crewing: new Crewing(1, 0, 2)), 'order 1 needs 2 of setters at Mill; there are 1.'],
    [
        new Step(1, 1, 10, crewing: new Crewing(1, 1, 0, 'bend')),
        'order 1 needs 1 of setters qualified for bend at Mill; there are 0.',
    ],
]);

it('says that an order was due before now', function () {
    $net = Net::of(
        new Problem(
            1000,
            [1 => new WorkCentre('Mill', 1, hours())],
            [new Job(1, 'order 1', 1, 900, [new Step(1, 1, 10)])],
        ),
    );
    expect(Loading::load($net, [0])->notes)->toBe(['order 1 was due before now.'])
        ->and(Loading::load($net, [0])->finish)->toBe([1 => 1010]);
});

it('has a full checker that sees broken schedules', function (
    Problem $problem,
    array $steps,
    array $finish,
    string $says,
) {
    expect(implode('; ', FullChecker::faults($problem, new Schedule($steps, $finish, []))))->toContain($says);
})->with(function () {
    $mill = [
        1 => new WorkCentre(
            'Mill',
            1,
            hours([[0, 100], [200, 300]]),
            changeovers: new Changeovers(['red' => ['blue' => 9]]),
            familyNow: [1 => 'red'],
        ),
    ];
    $crew = [1 => new Crew('setters', [new Person('A', hours())])];
    $one = fn (Step $step, array $centres, array $crews = []): Problem => new Problem(
        0,
        $centres,
        [new Job(1, 'a', 1, null, [$step])],
        $crews,
    );
    $at = fn (int $start, int $end, ?int $setupEnd = null): array => [
        1 => new PlannedStep($start, $end, 1, 1, $setupEnd ?? $start, $setupEnd ?? $start),
    ];

    return [
        'closed' => [$one(new Step(1, 1, 50), $mill), $at(120, 250), [1 => 250], 'closed time'],
        'too short' => [$one(new Step(1, 1, 50), $mill), $at(0, 40), [1 => 40], 'runs 40 of 50'],
        'interrupted' => [$one(new Step(1, 1, 50, unbroken: true), $mill), $at(80, 230), [1 => 230], 'is interrupted'],
        'no changeover' => [
            $one(new Step(1, 1, 50, family: 'blue'), $mill),
            $at(0, 50),
            [1 => 50],
            'sets up 0 of 0 and 9',
        ],
        'material' => [$one(new Step(1, 1, 50, materialAt: 20), $mill), $at(0, 50), [1 => 50], 'before 20'],
        'pin' => [$one(new Step(1, 1, 50, pin: new Pin(20, 1)), $mill), $at(0, 50), [1 => 50], 'before its pin'],
        'finish' => [$one(new Step(1, 1, 50, wait: 7), $mill), $at(0, 50), [1 => 50], 'finishes at 57'],
        'crew' => [
            new Problem(
                0,
                [1 => new WorkCentre('Mill', 2, hours())],
                [
                    new Job(1, 'a', 1, null, [new Step(1, 1, 50, crewing: new Crewing(1, 0, 1))]),
                    new Job(2, 'b', 1, null, [new Step(2, 1, 50, crewing: new Crewing(1, 0, 1))]),
                ],
                $crew,
            ),
            [1 => new PlannedStep(0, 50, 1, 1, 0, 0), 2 => new PlannedStep(40, 90, 2, 1, 40, 40)],
            [1 => 50, 2 => 90],
            'short at 40',
        ],
        'overfull' => [
            new Problem(
                0,
                [1 => new WorkCentre('Oven', 1, hours(), batch: 1)],
                [new Job(1, 'a', 1, null, [new Step(1, 1, 50)]), new Job(2, 'b', 1, null, [new Step(2, 1, 50)])],
            ),
            [1 => new PlannedStep(0, 50, 1, 1, 0, 0), 2 => new PlannedStep(0, 50, 1, 1, 0, 0)],
            [1 => 50, 2 => 50],
            'overfills',
        ],
        'starving' => [
            new Problem(
                0,
                [1 => new WorkCentre('Cut', 1, hours()), 2 => new WorkCentre('Bend', 1, hours())],
                [new Job(1, 'a', 1, null, [new Step(1, 1, 50, passOn: new PassOn(5, 3)), new Step(2, 2, 20)])],
            ),
            [1 => new PlannedStep(0, 50, 1, 1, 0, 0), 2 => new PlannedStep(5, 25, 1, 2, 5, 5)],
            [1 => 25],
            'starves',
        ],
    ];
});
