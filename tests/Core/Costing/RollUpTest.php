<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\ExactCost;
use KeepPace\Core\Costing\Making;
use KeepPace\Core\Costing\Rates;
use KeepPace\Core\Costing\RolledLine;
use KeepPace\Core\Costing\RollUp;
use KeepPace\Core\Costing\ServiceCharge;
use KeepPace\Core\Costing\StepCost;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Structure\Line;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\StructureRefused;

/** @param  list<StepCost>  $steps */
function making(array $lines, array $steps = [], int $lot = 1): Making
{
    $made = array_map(
        fn (array $line): Line => new Line('', $line[0], BigRational::of($line[1]), ...array_slice($line, 2)),
        $lines,
    );

    return new Making($made, $steps, BigDecimal::of($lot));
}

/** One that costs so many euros of labour to set up, and so many for each piece: a euro a minute. */
function euroStep(int $setup, int $run): StepCost
{
    $time = new StepTime(BigDecimal::of($setup), RunBasis::MinutesPerUnit, BigDecimal::of($run));

    return StepCost::here($time, 1, new Rates('60', '0', '0'));
}

function euros(BigRational $cents, int $places = 2): string
{
    return (string) $cents->dividedBy(100)->toScale($places, RoundingMode::HALF_UP);
}

// trade.md, W33: set-up 60.00, run 5.00: 11.00 at 10, 5.60 at 100
it('spreads the set-up over the pieces asked about, over the usual lot where none are typed', function () {
    $rollUp = new RollUp(['G' => making([], [euroStep(60, 5)], lot: 100)], []);
    expect(euros($rollUp->of('G', BigDecimal::of(10))->unit()->total()))->toBe('11.00')
        ->and(euros($rollUp->of('G', BigDecimal::of(100))->unit()->total()))->toBe('5.60')
        ->and(euros($rollUp->of('G')->unit()->total()))->toBe('5.60');
});

// W33: each level at its own usual lot, whatever the top is asked for
it('makes each level in its own usual lot', function () {
    $rollUp = new RollUp([
        'TOP' => making([['G', 2]], [euroStep(30, 0)], lot: 1),
        'G' => making([], [euroStep(60, 5)], lot: 10),
    ], []);
    expect(euros($rollUp->of('TOP')->unit()->total()))->toBe('52.00') // 2 × 11.00 + 30.00
        ->and(euros($rollUp->of('TOP', BigDecimal::of(10))->unit()->total()))->toBe('25.00'); // 2 × 11.00 + 3.00
});

// value from memory: 2 kits a piece at 3 minutes each are 6 minutes a piece, its set-up is done once for the order
it('counts the steps of a phantom with the order that does them', function () {
    $making = [
        'TOP' => making([['KIT', 2]], [euroStep(10, 1)]),
        'KIT' => making([['BOLT', 4]], [euroStep(20, 3), StepCost::outside(new ServiceCharge('0.50'))]),
    ];
    $rollUp = new RollUp($making, ['BOLT' => BigRational::of(10)], ['KIT' => true]);
    // ten: 10 + 10 of the top, 20 + 60 of the kits, 80 bolts at 0.10, 20 kits at 0.50
    expect(euros($rollUp->of('TOP', BigDecimal::of(10))->total()->total()))->toBe('118.00');
});

it('counts a phantom that is taken once for the order once', function () {
    $making = [
        'TOP' => making([['KIT', 2, LineBasis::PerOrder]]),
        'KIT' => making([], [euroStep(20, 3), StepCost::outside(new ServiceCharge('0.50'))]),
    ];
    $rollUp = new RollUp($making, [], ['KIT' => true]);
    foreach ([1, 10] as $pieces) { // 20 + 2 × 3 and 2 × 0.50, however many
        expect(euros($rollUp->of('TOP', BigDecimal::of($pieces))->total()->total()))->toBe('27.00');
    }
});

// W33: a line's scrap divides: 2 kg at 4 % = 2.0833 kg
it('takes what is lost on the way too', function () {
    $line = ['SHEET', 2, LineBasis::PerUnit, null, BigDecimal::of(4)];
    $cost = (new RollUp(['BOX' => making([$line])], ['SHEET' => BigRational::of(1200)]))->of('BOX');
    $need = $cost->lines[0]->need->quantity;
    expect((string) $need->toScale(4, RoundingMode::HALF_UP))->toBe('2.0833')
        ->and(euros($cost->unit()->total()))->toBe('25.00'); // 2.08333… × 12.00
});

// common practice
it('asks for what one order takes once, however many pieces', function () {
    $lines = [['PART', 3], ['FILM', 1, LineBasis::PerOrder]];
    $rollUp = new RollUp(
        ['KIT' => making($lines, lot: 10)],
        ['PART' => BigRational::of(50), 'FILM' => BigRational::of(600)],
    );
    expect(euros($rollUp->of('KIT')->unit()->total()))->toBe('2.10')
        ->and(euros($rollUp->of('KIT', BigDecimal::of(1))->unit()->total()))->toBe('7.50');
});

// common practice: a phantom is what it is made of, and never made in a lot of its own
it('takes a phantom for what it is made of', function () {
    $rollUp = new RollUp(
        ['M' => making([['KIT', 2]]), 'KIT' => making([['BOLT', 4]])],
        ['BOLT' => BigRational::of(25)],
        ['KIT' => true],
    );
    $cost = $rollUp->of('M', BigDecimal::of(3));
    expect($cost->lines)->toHaveCount(1)->and($cost->lines[0]->need->line->item)->toBe('BOLT')
        ->and(euros($cost->total()->total()))->toBe('6.00');
});

// common practice: what a customer brings is worth nothing to us
it('counts nothing for what somebody else brings', function () {
    $line = ['DRUM', 1, LineBasis::PerUnit, null, null, false];
    $cost = (new RollUp(['REPAIR' => making([$line])], ['DRUM' => BigRational::of(9900)]))->of('REPAIR');
    expect($cost->total()->total()->isZero())->toBeTrue()
        ->and($cost->lines[0]->oneMore(BigDecimal::one())->isZero())->toBeTrue();
});

it('says what a piece costs more with one more of a line', function () {
    $making = fn (string $sheet, int $film): array => ['BOX' => making([
        ['SHEET', $sheet, LineBasis::PerUnit, null, BigDecimal::of(4)],
        ['FILM', $film, LineBasis::PerOrder],
    ], lot: 8)];
    $bought = ['SHEET' => BigRational::of(1200), 'FILM' => BigRational::of(400)];
    $unit = fn (string $sheet, int $film): BigRational => (new RollUp($making($sheet, $film), $bought))
        ->of('BOX')->unit()->total();
    $lines = (new RollUp($making('2', 1), $bought))->of('BOX')->lines;
    $more = array_map(fn (RolledLine $line): BigRational => $line->oneMore(BigDecimal::of(8)), $lines);
    // it is what comes out when the line is changed by one, and when it is changed back
    expect($more[0]->isEqualTo($unit('3', 1)->minus($unit('2', 1))))->toBeTrue()
        ->and($more[0]->isEqualTo($unit('2', 1)->minus($unit('1', 1))))->toBeTrue()
        ->and($more[1]->isEqualTo($unit('2', 2)->minus($unit('2', 1))))->toBeTrue();
});

it('names a loop', function () {
    $loop = ['A' => making([['B', 1]]), 'B' => making([['C', 1]]), 'C' => making([['A', 1]])];
    (new RollUp($loop, []))->of('A');
})->throws(StructureRefused::class, 'A > B > C > A');

/*
 * Vazsonyi, Scientific Programming in Business and Industry (1958): with N the matrix of what one of each takes
 * directly of each other, all that is needed is (I - N) inverse; so the costs of all are the solution of
 * (I - N) c = v, v being what each costs by itself. Value from memory; worked out here by elimination.
 */
it('comes to what the matrix of direct needs says, for random structures', function (int $seed) {
    mt_srand($seed);
    $size = 12;
    $direct = $own = $making = $bought = [];
    for ($i = 0; $i < $size; $i++) {
        $lines = [];
        for ($j = $i + 1; $j < $size; $j++) {
            $quantity = mt_rand(0, 3) === 0 ? BigRational::nd(mt_rand(1, 9), mt_rand(1, 4)) : BigRational::zero();
            $direct[$i][$j] = $quantity;
            $quantity->isZero() ?: $lines[] = ["I{$j}", $quantity];
        }
        $own[$i] = mt_rand(1, 500) * 100;
        if ($i < 8) {
            // set-ups are none: the matrix knows no lots
            $making["I{$i}"] = making($lines, [euroStep(0, intdiv($own[$i], 100))], lot: mt_rand(1, 20));
        } else {
            $bought["I{$i}"] = BigRational::of($own[$i]);
            $direct[$i] = [];
        }
    }
    // (I - N) is upper triangular: eliminated from below
    $cost = [];
    for ($i = $size - 1; $i >= 0; $i--) {
        $cost[$i] = BigRational::of($own[$i]);
        foreach ($direct[$i] ?? [] as $j => $quantity) {
            $cost[$i] = $cost[$i]->plus($quantity->multipliedBy($cost[$j]))->simplified();
        }
    }
    $rollUp = new RollUp($making, $bought);
    for ($i = 0; $i < $size; $i++) {
        expect($rollUp->unit("I{$i}")->total()->isEqualTo($cost[$i]))->toBeTrue();
    }
})->with(range(1, 20));

it('keeps kinds of cost apart on their way up', function () {
    $time = new StepTime(BigDecimal::of(10), RunBasis::MinutesPerUnit, BigDecimal::of(5));
    $rollUp = new RollUp([
        'TOP' => making([['SUB', 2]], [StepCost::outside(new ServiceCharge('3.50'))]),
        'SUB' => making([['BAR', 4]], [StepCost::here($time, 2, new Rates('30', '12', '50'))]),
    ], ['BAR' => BigRational::of(150)]);
    $unit = $rollUp->of('TOP')->unit();
    $says = array_map(fn (BigRational $cents): string => euros($cents), [
        $unit->material, $unit->labour, $unit->machine, $unit->overhead, $unit->outside,
    ]);
    // 15 minutes of two people at 30.00 and of a machine at 12.00, overhead half of the labour, twice
    expect($says)->toBe(['12.00', '30.00', '6.00', '15.00', '3.50'])
        ->and(ExactCost::nothing()->total()->isZero())->toBeTrue();
});
