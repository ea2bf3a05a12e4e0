<?php

use Brick\Math\BigRational;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\StepSequence;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\PhantomUse;
use KeepPace\Core\Structure\Takes;

function usedAt(string $item, ?int $step, ?PhantomUse $within = null): PhantomUse
{
    return new PhantomUse($item, $step, new Takes(BigRational::one(), LineBasis::PerUnit), $within);
}

/** @return list<string> "item number = number in the order" */
function sequence(StepSequence $sequence): array
{
    $says = fn ($one): string => ($one->use->item ?? 'own')." {$one->number} = {$one->as}";

    return array_map($says, $sequence->steps);
}

// common practice: what a phantom is made of and how comes in its place, before the step that uses it
it('puts the steps of a phantom before the step it is used at', function () {
    $kit = usedAt('kit', 20);
    $sequence = StepSequence::of([10, 20, 30], [$kit], ['kit' => [10, 20]]);
    expect(sequence($sequence))->toBe(['own 10 = 10', 'kit 10 = 13', 'kit 20 = 16', 'own 20 = 20', 'own 30 = 30'])
        ->and($sequence->at($kit, null))->toBe(13)
        ->and($sequence->at($kit, 20))->toBe(16)
        ->and($sequence->at(null, 30))->toBe(30)
        ->and($sequence->at(null, null))->toBe(10);
});

it('begins with the steps of a phantom no step was said for', function () {
    expect(sequence(StepSequence::of([10, 20], [usedAt('kit', null)], ['kit' => [5]])))
        ->toBe(['kit 5 = 5', 'own 10 = 10', 'own 20 = 20']);
});

it('goes into phantoms of phantoms, through those that have no steps', function () {
    $outer = usedAt('outer', 20);
    $plain = usedAt('plain', 20, $outer);
    $inner = usedAt('inner', 99, $plain);
    $sequence = StepSequence::of(
        [10, 20],
        [$outer, $plain, $inner],
        ['outer' => [10, 20], 'plain' => [], 'inner' => [10]],
    );
    expect(sequence($sequence))
        ->toBe(['own 10 = 10', 'outer 10 = 12', 'inner 10 = 15', 'outer 20 = 17', 'own 20 = 20'])
        ->and($sequence->at($plain, 99))->toBe(17)
        ->and($sequence->at($inner, null))->toBe(15);
});

it('takes a phantom that is used twice twice', function () {
    [$one, $two] = [usedAt('kit', 10), usedAt('kit', 20)];
    $sequence = StepSequence::of([10, 20], [$one, $two], ['kit' => [1]]);
    expect(sequence($sequence))->toBe(['kit 1 = 5', 'own 10 = 10', 'kit 1 = 15', 'own 20 = 20'])
        ->and($sequence->at($two, null))->toBe(15);
});

it('numbers in tens what has no step of its own', function () {
    expect(sequence(StepSequence::of([], [usedAt('kit', null)], ['kit' => [7, 8]])))
        ->toBe(['kit 7 = 10', 'kit 8 = 20']);
});

it('says where numbers leave no room', function () {
    StepSequence::of([10, 12], [usedAt('kit', 12)], ['kit' => [10, 20]]);
})->throws(
    OrderRefused::class,
    'Before step 12 come 2 steps of phantoms, and between the numbers there is room for 1.',
);

it('keeps random sequences whole and in order', function () {
    mt_srand(11);
    for ($run = 0; $run < 200; $run++) {
        $own = array_map(fn (int $n): int => $n * 100, range(1, mt_rand(1, 6)));
        $uses = [];
        $steps = [];
        for ($i = 0; $i < mt_rand(0, 8); $i++) {
            $within = $uses !== [] && mt_rand(0, 1) === 1 ? $uses[array_rand($uses)] : null;
            $steps["p{$i}"] = mt_rand(0, 2) === 0 ? [] : range(1, mt_rand(1, 3));
            $uses[] = usedAt("p{$i}", mt_rand(0, 3) === 0 ? null : mt_rand(1, 6) * 100, $within);
        }
        $sequence = StepSequence::of($own, $uses, $steps);
        $as = array_column($sequence->steps, 'as');
        $sorted = $as;
        sort($sorted);
        expect(count($as))->toBe(count($own) + array_sum(array_map(count(...), $steps)))
            ->and($as)->toBe($sorted)
            ->and(array_unique($as))->toBe($as);
        foreach ($uses as $use) { // all of a phantom comes before the step of the product that uses it
            $at = $use->stepOfProduct();
            $before = in_array($at, $own, true) ? $at : $own[0];
            $steps[$use->item] === [] ?: expect($sequence->at($use, null))->toBeLessThan($before);
        }
    }
});
