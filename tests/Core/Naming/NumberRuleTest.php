<?php

use KeepPace\Core\Naming\NumberRule;
use KeepPace\Core\Refused;

it('counts on from the highest there is by the rule, whatever the capitals', function (
    string $rule,
    array $taken,
    string $next,
) {
    expect(NumberRule::of($rule)->next($taken))->toBe($next);
})->with([
    'the first' => ['BRK-####', [], 'BRK-0001'],
    'the next' => ['BRK-####', ['BRK-0001', 'brk-0041', 'BRK-0007'], 'BRK-0042'],
    'gaps stay gaps' => ['BRK-####', ['BRK-0009'], 'BRK-0010'],
    'others of that beginning are passed by' => ['BRK-####', ['BRK-9', 'BRK-00012', 'BRK-0001-A'], 'BRK-0001'],
    'with something behind' => ['P##/x', ['P07/X', 'P99/y'], 'P08/x'],
    'signs of patterns are signs' => ['A.(#)', ['AB(3)', 'A.(3)'], 'A.(4)'],
]);

it('says when all numbers are taken', function () {
    NumberRule::of('B-#')->next(['B-9']);
})->throws(Refused::class, 'All numbers of B-# are taken.');

it('takes one run of # and no more', function (string $typed) {
    NumberRule::of($typed);
})->with(['BRK', 'B#-#', '##########', ''])->throws(Refused::class, 'is no rule such as BRK-####');
