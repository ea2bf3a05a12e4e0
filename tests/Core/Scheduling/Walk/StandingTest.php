<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Crew;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Person;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\People;
use KeepPace\Core\Scheduling\Walk\Shop;
use KeepPace\Core\Scheduling\Walk\Spot;
use KeepPace\Core\Scheduling\Walk\Standing;
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
