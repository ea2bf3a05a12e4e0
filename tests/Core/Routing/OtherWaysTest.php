<?php

use KeepPace\Core\Routing\OtherWays;

/* Other work centres of a step as files and forms write them: our own notation. */

it('reads what is written and writes what is read', function (string $written, array $ways, ?string $again = null) {
    expect(OtherWays::read($written))->toBe($ways)
        ->and(OtherWays::write($ways))->toBe($again ?? $written)
        ->and(preg_match(OtherWays::PATTERN, $written))->toBe($written === '' ? 0 : 1);
})->with([
    ['', []],
    ['saw2', ['saw2' => 100]],
    ['saw2|bench:150', ['saw2' => 100, 'bench' => 150]],
    ['SAW2|Bench:90', ['saw2' => 100, 'bench' => 90], 'saw2|bench:90'],
    ['7:120', [7 => 120]],
]);

it('is no such thing', function (string $written) {
    expect(preg_match(OtherWays::PATTERN, $written))->toBe(0);
})->with([
    'SAW2|',
    '|SAW2',
    'SAW2:',
    'SAW2:0',
    'SAW2:1',
    'SAW 2',
    'SAW2:150%',
    "SAW2\n",
    'SAW2:12345',
    str_repeat('A', 21),
]);
