<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Facts;
use KeepPace\Core\Scheduling\Walk\People;
use KeepPace\Core\Scheduling\Walk\Pins;
use KeepPace\Core\Scheduling\Walk\Shop;
use KeepPace\Core\Scheduling\Walk\Spot;
use KeepPace\Core\Scheduling\Walk\Standing;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\WorkCentre;

/** Steps of an hour, one at each of four work centres; one crew for the first two, another for the other two. */
function fourStand(): Standing
{
    $open = OpenWindows::of([[0, 50_000]], [], 0, 50_000);
    $crew = fn (): Crew => new Crew('crew', [new Person('somebody', $open)]);
    $jobs = array_map(
        fn (int $n): Job => new Job($n, "job {$n}", 1, 0, [
            new Step($n, $n, 60, crewing: new Crewing($n > 2 ? 2 : 1, 0, 1)),
        ]),
        [1, 2, 3, 4],
    );
    $net = Net::of(new Problem(
        0,
        array_fill_keys([1, 2, 3, 4], new WorkCentre('Centre', 1, $open)),
        $jobs,
        [1 => $crew(), 2 => $crew()],
    ));
    $people = new People($net, new Shop($net));
    $none = [-1, -1, -1];
    foreach ([0, 1, 2] as $x) {
        $ready = $x === 1 ? 10_000 : 0;
        $spot = $people->place($x, 0, $ready, null, -1, -1, $none, $none, $none, 1, [0, 1, 2], $x);
        $people->standing->stands($x, $spot);
    }
    $people->standing->begin();

    return $people->standing;
}

it('has those look again who ask for people a move has touched, where and when it did', function () {
    $standing = fourStand();
    expect($standing->isTouched)->toBeFalse()
        ->and($standing->isTouched(1, 0, 0, 60))->toBeFalse();
    $standing->touch(0);
    expect([$standing->isTouched, $standing->from, $standing->to])->toBe([true, 0, 60])
        // of the same crew: while it works, but not days later; another crew's are not touched
        ->and($standing->isTouched(1, 0, 30, 90))->toBeTrue()
        ->and($standing->isTouched(1, 0, 10_000, 10_060))->toBeFalse()
        ->and($standing->isTouched(2, 0, 30, 90))->toBeFalse();
    $standing->begin();
    expect($standing->isTouched(1, 0, 30, 90))->toBeFalse();
});

it('gives people back with an operation that leaves, and takes them again as before', function () {
    $standing = fourStand();
    $stood = $standing->leaves(0);
    expect($stood)->toBeInstanceOf(Spot::class)->and($standing->spots)->toHaveKeys([1, 2])->toHaveCount(2);
    $standing->putBack(0, $stood);
    expect($standing->spots[0])->toBe($stood);
    $standing->clear();
    expect($standing->spots)->toBe([]);
});

it('sees whether a spot ends before what stands behind it on that machine', function () {
    $standing = fourStand();
    $spot = fn (int $end): Spot => new Spot(0, 9_900, $end, 0, -1);
    // the second stands at 10,000
    expect($standing->isInNobodysWay($spot(10_000), 0, 1, [-1, -1, -1]))->toBeTrue()
        ->and($standing->isInNobodysWay($spot(10_001), 0, 1, [-1, -1, -1]))->toBeFalse();
});

it('goes in front of what is pinned if it is through by then and leaves its changeover, else behind', function (
    int $work,
    string $family,
    array $expected,
) {
    // one machine, a step of red pinned from 200 to 260, 20 minutes of it setup: enough behind blue, not behind green
    $minutes = ['blue' => 20, 'green' => 45];
    $centre = new WorkCentre('Paint', 1, OpenWindows::of([[0, 5000]], [], 0, 5000),
        changeovers: new Changeovers([
            'red' => ['red' => 0, 'blue' => 30, 'green' => 30],
            'blue' => ['red' => $minutes['blue'], 'blue' => 0, 'green' => 30],
            'green' => ['red' => $minutes['green'], 'blue' => 30, 'green' => 0],
        ]),
        familyNow: [1 => 'blue'],
    );
    $net = Net::of(new Problem(0, [1 => $centre], [
        new Job(1, 'pinned', 1, 0, [new Step(1, 1, 40, family: 'red', pin: new Pin(200, 1))]),
        new Job(2, 'other', 1, 0, [new Step(2, 1, $work, family: $family)]),
    ]));
    $shop = new Shop($net);
    expect($shop->kept[0][0][0][0])->toBe(200);
    $pinEnd = $shop->kept[0][0][0][1];
    [$x, $now] = [1, $shop->familyNow[0][0]];
    $change = $shop->between[0][$now][$shop->family[$x]];
    $found = (new Pins(new Facts($net, $shop, new Stands)))
        ->goAround($x, 0, 0, $now, [$work, 0, 0], 0, null, [0, $change, 0]);
    expect($found)->toBe($expected === [] ? [$pinEnd, 30, $pinEnd] : $expected);
})->with([
    'blue, through by then' => [200, 'blue', [0, 0, 0]],
    'blue, a minute too long' => [201, 'blue', []],
    'green, through by then, but would leave green' => [100, 'green', []],
]);
