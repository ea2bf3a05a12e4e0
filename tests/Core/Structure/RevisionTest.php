<?php

use KeepPace\Core\Structure\Revision;

/* Which revision is in force: common practice. */

it('takes the approved revision that began last', function (array $revisions, string $day, ?int $is) {
    $all = array_map(fn (array $one): Revision => new Revision(...$one), $revisions);
    expect(Revision::inForce($all, $day)?->id)->toBe($is)
        ->and(Revision::inForce(array_reverse($all), $day)?->id)->toBe($is);
})->with([
    'none at all' => [[], '2026-11-24', null],
    'one of ever' => [[[1, true, null]], '2026-11-24', 1],
    'a draft is not used' => [[[1, true, null], [2, false, '2026-01-01']], '2026-11-24', 1],
    'only a draft' => [[[2, false, null]], '2026-11-24', null],
    'one that begins later is not used yet' => [[[1, true, null], [2, true, '2026-11-25']], '2026-11-24', 1],
    'from its first day on' => [[[1, true, null], [2, true, '2026-11-25']], '2026-11-25', 2],
    'an older one with a later day' => [[[1, true, '2026-11-20'], [2, true, '2026-11-10']], '2026-11-24', 1],
    'one with a day before one of ever' => [[[2, true, null], [1, true, '2026-11-10']], '2026-11-24', 1],
    'two of one day: the later made' => [[[1, true, '2026-11-10'], [2, true, '2026-11-10']], '2026-11-24', 2],
    'two of one day: the one approved last' => [
        [[1, true, '2026-11-10', '2026-11-10 09:30:00'], [2, true, '2026-11-10', '2026-11-10 08:00:00']],
        '2026-11-24',
        1,
    ],
    'before any began' => [[[1, true, '2026-11-10']], '2026-11-09', null],
]);

it('calls a new revision by what follows the last', function (array $taken, string $next) {
    expect(Revision::nextCode($taken))->toBe($next);
})->with([
    [[], 'A'],
    [['A'], 'B'],
    [['A', 'b'], 'C'],
    [['Z'], 'AA'],
    [['9'], '10'],
    [['A', 'C', 'B'], 'D'],
    [['08'], '09'],
    [['A9'], 'A10'],
    [['R99'], 'R100'],
    [['2026-11'], '2026-12'],
    [['2026-112'], '2026-113'],
    [['first'], 'FIRST2'],
    [['first issue'], 'FIRST ISSUE2'],
    [['ISSUE-ONE-99'], 'ISSUE-ONE-92'], // 100 would be too long
]);
