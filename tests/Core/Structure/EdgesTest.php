<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\Approval;
use KeepPace\Core\Structure\ByHand;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineToApprove;
use KeepPace\Core\Structure\Revision;
use KeepPace\Core\Structure\Structures;

/* Structures at the edge: common practice, counted by hand. */

it('calls no two revisions alike, whatever they are called', function (array $taken) {
    for ($i = 0; $i < 60; $i++) {
        $next = Revision::nextCode($taken);
        expect(in_array($next, array_map(mb_strtoupper(...), $taken), true))->toBeFalse()
            ->and(mb_strlen($next))->toBeLessThanOrEqual(12);
        $taken[] = $next;
    }
})->with([
    'from nothing' => [[]],
    'letters' => [['Y']],
    'numbers' => [['08']],
    'a letter and a number' => [['A8']],
    'what counts on to one that is there' => [['B', 'C', 'A']],
    'small and large' => [['b', 'A']],
    'a date' => [['2026-11']],
    'words' => [['first issue']],
    'what cannot be counted, and its follower' => [['ISSUE-ONE-OF', 'ISSUE-ONE-2', 'ISSUE-ONE-OF']],
]);

it('has the later made in force where two began and were approved at once, in either order', function () {
    $of = fn (int $id): Revision => new Revision($id, true, '2026-11-10', '2026-11-09 08:00:00');
    expect(Revision::inForce([$of(4), $of(7)], '2026-11-24')?->id)->toBe(7)
        ->and(Revision::inForce([$of(7), $of(4)], '2026-11-24')?->id)->toBe(7);
});

it('takes what stands beside the pieces for no more than nothing', function (string $amount, string $for, string $is) {
    // 10 pieces at 2 each are 20; what was put in by hand is more or less than that
    $byHand = ByHand::at(BigDecimal::of($amount), BigRational::of(2), BigDecimal::of(10));
    expect($byHand->for(BigDecimal::of($for))->isEqualTo($is))->toBeTrue();
})->with([
    'more' => ['26', '10', '26'],
    'more, for half of them' => ['26', '5', '16'],
    'less' => ['14', '10', '14'],
    'less, for so few that it would be below nothing' => ['14', '2', '0'],
    'less, for just so many that it is nothing' => ['14', '3', '0'],
    'as planned' => ['20', '7', '14'],
]);

it('tells a structure no deeper than so many lines allow, and one level at least', function () {
    $line = fn (string $item, string $of = '1'): Line => new Line('', $item, BigRational::of($of));
    $tree = new Structures([
        'A' => [$line('B'), $line('C')],
        'B' => [$line('D'), $line('E'), $line('F')],
        'D' => [$line('G', '3')],
    ]);
    $told = fn (int $most): array => array_map(
        fn (object $one): string => "{$one->level} {$one->line->item}",
        $tree->indented('A', BigRational::one(), $most)->lines,
    );
    expect($told(100))->toBe(['1 B', '2 D', '3 G', '2 E', '2 F', '1 C'])
        ->and($told(6))->toBe(['1 B', '2 D', '3 G', '2 E', '2 F', '1 C'])
        ->and($told(5))->toBe(['1 B', '2 D', '2 E', '2 F', '1 C'])
        ->and($told(4))->toBe(['1 B', '1 C'])
        ->and($told(1))->toBe(['1 B', '1 C']);
});

it('asks for a step only by its number, and names the steps there are', function () {
    $holes = fn (?int $step, array $steps): array => Approval::holesOfStructure(
        [new LineToApprove(10, 'P-10 Part', $step, true, false)],
        $steps,
    );
    expect($holes(30, [10, 30]))->toBe([])
        ->and($holes(null, []))->toBe([])
        ->and($holes(3, [30]))->toHaveCount(1)
        ->and($holes(3, [30])[0])->toContain('It has 30.')
        ->and(Approval::holesOfRouting([10, 30], [10 => 30, 20 => 10]))->toBe([])
        ->and(Approval::holesOfRouting([10, 30], [10 => 3]))->toHaveCount(1)
        ->and(Approval::holesOfRouting([], [10 => 3]))->toBe(['It has no step yet.']);
});
