<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Changeovers;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Step;
use KeepPace\Core\Scheduling\Walk\Facts;
use KeepPace\Core\Scheduling\Walk\Pins;
use KeepPace\Core\Scheduling\Walk\Shop;
use KeepPace\Core\Scheduling\Walk\Stands;
use KeepPace\Core\Scheduling\WorkCentre;

/* Around what is pinned on a machine: worked out by hand. */

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
