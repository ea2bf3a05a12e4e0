<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\StructureRefused;
use KeepPace\Core\Structure\Structures;

function line(
    string $item,
    int|string $quantity,
    LineBasis $basis = LineBasis::PerUnit,
    ?string $scrap = null,
    ?int $step = null,
): Line {
    return new Line(
        "to-{$item}",
        $item,
        BigRational::of($quantity),
        $basis,
        $step,
        $scrap === null ? null : BigDecimal::of($scrap),
    );
}

it('agrees with the inverse of (I - A): Vazsonyi, Scientific Programming in Business and Industry (1958)', function () {
    mt_srand(58);
    for ($round = 0; $round < 40; $round++) {
        $n = mt_rand(3, 9);
        $a = array_fill(0, $n, array_fill(0, $n, 0));
        $lines = [];
        for ($parent = 0; $parent < $n; $parent++) {
            for ($child = $parent + 1; $child < $n; $child++) {
                if (mt_rand(0, 2) === 0) {
                    $a[$child][$parent] = mt_rand(1, 6);
                    $lines["i{$parent}"][] = line("i{$child}", $a[$child][$parent]);
                }
            }
        }
        // total = (I - A)^-1 demand, by Gauss-Jordan over whole numbers (the matrix is unit triangular, so its inverse
        // is whole)
        $matrix = [];
        for ($r = 0; $r < $n; $r++) {
            for ($c = 0; $c < $n; $c++) {
                $matrix[$r][$c] = ($r === $c ? 1 : 0) - $a[$r][$c];
                $matrix[$r][$n + $c] = $r === $c ? 1 : 0;
            }
        }
        for ($pivot = 0; $pivot < $n; $pivot++) {
            for ($r = 0; $r < $n; $r++) {
                if ($r !== $pivot && ($factor = $matrix[$r][$pivot]) !== 0) {
                    for ($c = 0; $c < 2 * $n; $c++) {
                        $matrix[$r][$c] -= $factor * $matrix[$pivot][$c];
                    }
                }
            }
        }
        $demand = mt_rand(1, 20);
        $total = (new Structures($lines))->totals('i0', BigRational::of($demand));
        for ($i = 0; $i < $n; $i++) {
            expect(($total["i{$i}"] ?? BigRational::zero())->isEqualTo($matrix[$i][$n] * $demand))->toBeTrue();
        }
    }
});

it('takes what an order needs', function (array $lines, int $made, array $needs) {
    $found = [];
    foreach (
        (new Structures($lines, ['kit' => true, 'kit2' => true]))->components('top', BigRational::of($made)) as $need
    ) {
        $found[] = [$need->line->item, (string) $need->quantity->simplified(), $need->step];
    }
    expect($found)->toBe($needs);
})->with([
    'common practice: per unit and per order' => [['top' => [line('a', 3), line('b', 5, LineBasis::PerOrder)]], 4,
        [['a', '12', null], ['b', '5', null]]],
    'common practice: 4 % scrap of what is taken' => [['top' => [line('a', 1, scrap: '4')]], 96, [['a', '100', null]]],
    'common practice: thirds stay exact' => [['top' => [line('a', '1/3')]], 10, [['a', '10/3', null]]],
    'common practice: a phantom is passed through, at the step it is used at' => [
        ['top' => [line('kit', 2, step: 20)], 'kit' => [line('a', 4, step: 90), line('b', 1, LineBasis::PerOrder)]],
        3,
        [['a', '24', 20], ['b', '1', 20]],
    ],
    'common practice: a phantom in a phantom' => [
        ['top' => [line('kit', 1)], 'kit' => [line('kit2', 2)], 'kit2' => [line('a', 5)]],
        2,
        [['a', '20', null]],
    ],
    'common practice: a made part is not passed through' => [
        ['top' => [line('part', 1)], 'part' => [line('a', 9)]],
        2,
        [['part', '2', null]],
    ],
    'common practice: no structure, no need' => [[], 2, []],
]);

it('names the loop', function () {
    $loop = new Structures(['a' => [line('b', 1)], 'b' => [line('c', 1), line('d', 1)], 'c' => [line('b', 1)]]);
    expect(fn () => $loop->totals('a', BigRational::one()))->toThrow(StructureRefused::class, 'b > c > b');
    $self = new Structures(['kit' => [line('kit', 1)], 'top' => [line('kit', 1)]], ['kit' => true]);
    expect(fn () => $self->components('top', BigRational::one()))->toThrow(StructureRefused::class, 'kit > kit');
});

it('goes fifty levels deep and counts a diamond once for each way', function () {
    $lines = [];
    for ($i = 0; $i < 60; $i++) {
        $lines["n{$i}"] = [line('n'.($i + 1), 1), line('leaf', 1)];
    }
    $total = (new Structures($lines))->totals('n0', BigRational::of(2));
    expect((string) $total['n60'])->toBe('2')->and((string) $total['leaf'])->toBe('120');
    $two = new Structures(['t' => [line('l', 2), line('r', 3)], 'l' => [line('x', 5)], 'r' => [line('x', 7)]]);
    expect((string) $two->totals('t', BigRational::one())['x'])->toBe('31');
});
