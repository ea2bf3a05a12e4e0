<?php

use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Alternative;
use KeepPace\Core\Scheduling\Crewing;
use KeepPace\Core\Scheduling\PassOn;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Step;

/*
 * Kept plans and searches pack thousands of steps, each by what differs from most. Whatever a step says comes back,
 * whether it is usual or not.
 */

it('packs a plain step by what it says, and brings it back whole', function (): void {
    $step = new Step(7, 3, 45);
    $packed = serialize($step);
    expect(unserialize($packed))->toEqual($step)
        ->and($packed)->toContain('minutes')->not->toContain('heldBackTo')->not->toContain('alternatives');
});

it('brings back each field that is not usual', function (string $field, mixed $value): void {
    $step = new Step(...['id' => 7, 'workCentre' => null, 'minutes' => 1, $field => $value]);
    $back = unserialize(serialize($step));
    expect($back)->toEqual($step)->and($back->{$field})->toEqual($value);
})->with([
    ['workCentre', 0],
    ['wait', 30],
    ['move', 5],
    ['materialAt', 29_000_000],
    ['afterJobs', [4, 9]],
    ['started', true],
    ['setup', 12],
    ['setupNeedsMaterial', true],
    ['setupWithRun', true],
    ['unbroken', true],
    ['family', 'blue'],
    ['family', ''],
    ['size', 0],
    ['crewing', new Crewing(1, 2, 1, 'welding')],
    ['alternatives', [new Alternative(5, 90, 10, null)]],
    ['passOn', new PassOn(4, 12)],
    ['pin', new Pin(2, 29_000_100)],
    ['lead', OpenWindows::of([[0, 480]], [], 0, 1440)],
    ['heldBackTo', 29_000_500],
]);

it('has a test for each field there is', function (): void {
    $fields = array_map(
        fn (ReflectionParameter $one): string => $one->getName(),
        (new ReflectionMethod(Step::class, '__construct'))->getParameters(),
    );
    // of a step in which nothing is usual all of them are packed
    $step = new Step(
        1, 2, 3, 4, 5, 6, [7], true, 8, true, true, true, 'f', 9, new Crewing(1, 1, 1, null),
        [new Alternative(1, 1, 1, null)], new PassOn(1, 1), new Pin(1, 1), OpenWindows::of([[0, 1]], [], 0, 1), 10,
    );
    expect(array_keys($step->__serialize()))->toBe($fields)
        ->and(unserialize(serialize($step)))->toEqual($step);
});
