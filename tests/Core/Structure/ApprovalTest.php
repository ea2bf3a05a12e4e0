<?php

use KeepPace\Core\Structure\Approval;
use KeepPace\Core\Structure\LineToApprove;

/* What is approved is what orders are made by, so nothing of it may be missing: common practice. */

function lineAt(int $position, ?int $step = null, bool $canBeHad = true, bool $isRetired = false): LineToApprove
{
    return new LineToApprove($position, "P-{$position} Part", $step, $canBeHad, $isRetired);
}

it('says every hole of a structure', function (array $lines, array $steps, array $holes) {
    expect(Approval::holesOfStructure($lines, $steps))->toBe($holes);
})->with([
    'whole' => [[lineAt(10), lineAt(20, 30)], [10, 30], []],
    'no line' => [[], [10], ['It has no line yet.']],
    'no routing, and no step asked for' => [[lineAt(10)], [], []],
    'no routing, a step asked for' => [
        [lineAt(10, 30)],
        [],
        ['Position 10 is used at step 30, and no routing is approved. Approve the routing first.'],
    ],
    'a step that is not there' => [
        [lineAt(10, 35)],
        [10, 30],
        ['Position 10 is used at step 35, which the routing does not have. It has 10, 30.'],
    ],
    'a part nobody approved how to make' => [
        [lineAt(10, canBeHad: false)],
        [10],
        ['Position 10: P-10 Part is made here, and no structure or routing of it is approved yet.'],
    ],
    'a retired part, whatever else' => [
        [lineAt(10, canBeHad: false, isRetired: true)],
        [10],
        ['Position 10: P-10 Part is retired. Take another item, or bring it back.'],
    ],
    'all at once' => [
        [lineAt(10, 35, isRetired: true), lineAt(20, 40, canBeHad: false)],
        [10],
        [
            'Position 10: P-10 Part is retired. Take another item, or bring it back.',
            'Position 10 is used at step 35, which the routing does not have. It has 10.',
            'Position 20: P-20 Part is made here, and no structure or routing of it is approved yet.',
            'Position 20 is used at step 40, which the routing does not have. It has 10.',
        ],
    ],
]);

it('says every hole of a routing', function (array $steps, array $usedAt, array $holes) {
    expect(Approval::holesOfRouting($steps, $usedAt))->toBe($holes);
})->with([
    'whole' => [[10, 20], [10 => 10, 20 => 20], []],
    'no structure' => [[10], [], []],
    'no step' => [[], [10 => 10], ['It has no step yet.']],
    'a step the structure is used at is gone' => [
        [10, 30],
        [10 => 10, 20 => 20],
        ['Position 20 of the structure is used at step 20, which this routing does not have. Keep the step, or change '
            .'the structure first.'],
    ],
]);
