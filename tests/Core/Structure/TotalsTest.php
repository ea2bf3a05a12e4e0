<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Structures;

/**
 * A random product: each item made of later ones only, some phantoms, some lines with scrap, some by order.
 *
 * @return array{lines: array<string, list<Line>>, phantoms: array<string, true>}
 */
function product(int $items): array
{
    $lines = $phantoms = [];
    for ($parent = 0; $parent < $items; $parent++) {
        if ($parent > 0 && mt_rand(0, 3) === 0) {
            $phantoms["p{$parent}"] = true;
        }
        for ($child = $parent + 1; $child < $items; $child++) {
            if (mt_rand(0, 2) === 0) {
                $lines["p{$parent}"][] = new Line(
                    "{$parent}-{$child}",
                    "p{$child}",
                    BigRational::nd(mt_rand(1, 9), mt_rand(1, 4)),
                    mt_rand(0, 4) === 0 ? LineBasis::PerOrder : LineBasis::PerUnit,
                    mt_rand(1, 9) * 10,
                    mt_rand(0, 2) === 0 ? BigDecimal::of(mt_rand(1, 60)) : null,
                );
            }
        }
    }

    return ['lines' => $lines, 'phantoms' => $phantoms];
}

/**
 * By hand: numerator and denominator as whole numbers, scrap as what is left of a hundred.
 *
 * @return array{int, int}
 */
function byHand(Line $line, int $n, int $d): array
{
    [$p, $q] = explode('/', (string) $line->quantity->simplified().'/1');
    [$n, $d] = $line->basis === LineBasis::PerUnit ? [(int) $p * $n, (int) $q * $d] : [(int) $p, (int) $q];

    return $line->scrap === null ? [$n, $d] : [$n * 100, $d * (100 - $line->scrap->toInt())];
}

it('asks of each line what whole numbers say, and passes phantoms through at the step of their line', function () {
    mt_srand(1958);
    for ($round = 0; $round < 80; $round++) {
        ['lines' => $lines, 'phantoms' => $phantoms] = product(5);
        $made = mt_rand(1, 30);
        $expected = [];
        $walk = function (string $item, int $n, int $d, ?int $step) use (&$walk, &$expected, $lines, $phantoms): void {
            foreach ($lines[$item] ?? [] as $line) {
                [$p, $q] = byHand($line, $n, $d);
                isset($phantoms[$line->item])
                    ? $walk($line->item, $p, $q, $step ?? $line->step)
                    : ($expected[] = [$line->id, $p, $q, $step ?? $line->step]);
            }
        };
        $walk('p0', $made, 1, null);
        $needs = (new Structures($lines, $phantoms))->components('p0', BigRational::of($made));
        expect(count($needs))->toBe(count($expected));
        // what is copied of it says the same for any other number of pieces
        $pieces = BigRational::of(mt_rand(1, 40));
        $others = (new Structures($lines, $phantoms))->components('p0', $pieces);
        foreach ($needs as $i => $need) {
            expect($need->takes->for($pieces)->isEqualTo($others[$i]->quantity))->toBeTrue();
        }
        foreach ($needs as $i => $need) {
            [$id, $p, $q, $step] = $expected[$i];
            expect([$need->line->id, $need->step])->toBe([$id, $step])
                ->and($need->quantity->isEqualTo(BigRational::nd($p, $q)))->toBeTrue();
        }
    }
});

it('totals every level as adding up each way down does, where all lines are by the unit', function () {
    mt_srand(1959);
    for ($round = 0; $round < 80; $round++) {
        $lines = array_map(
            fn (array $of): array => array_map(
                fn (Line $line): Line => new Line($line->id, $line->item, $line->quantity, scrap: $line->scrap),
                $of,
            ),
            product(6)['lines'],
        );
        $sum = [];
        $down = function (string $item, BigRational $amount) use (&$down, &$sum, $lines): void {
            $sum[$item] = ($sum[$item] ?? BigRational::zero())->plus($amount);
            foreach ($lines[$item] ?? [] as $line) {
                [$p, $q] = byHand($line, 1, 1);
                $down($line->item, $amount->multipliedBy(BigRational::nd($p, $q)));
            }
        };
        $down('p0', BigRational::of($made = mt_rand(1, 20)));
        $structures = new Structures($lines);
        $totals = $structures->totals('p0', BigRational::of($made));
        expect(array_keys($totals))->toEqualCanonicalizing(array_keys($sum));
        foreach ($sum as $item => $amount) {
            expect($totals[$item]->isEqualTo($amount))->toBeTrue();
        }
        // each before all it is made of
        $place = array_flip($structures->levelOrder('p0'));
        foreach ($place as $item => $at) {
            foreach ($lines[$item] ?? [] as $line) {
                expect($place[$line->item])->toBeGreaterThan($at);
            }
        }
    }
});
