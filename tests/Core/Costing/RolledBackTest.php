<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Costing\ExactCost;
use KeepPace\Core\Costing\RolledBack;
use KeepPace\Core\Costing\RolledCost;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/*
 * What of a rolled-up cost is carried by what comes beside the product. The dairy is the textbook case of joint cost:
 * C. T. Horngren, S. M. Datar, M. V. Rajan, Cost Accounting: A Managerial Emphasis, chapter on joint products, Farmers'
 * Dairy (values from memory): 400,000 for 25,000 gallons of cream at 8 and 75,000 gallons of skim at 4. By sales value
 * at split-off cream carries 160,000 and skim 240,000; by physical measure 100,000 and 300,000.
 */

const CENTS = 100;

function jointOutput(string $item, ShareRule $rule, string $share, string $quantity): array
{
    $kind = $rule === ShareRule::SetValue ? OutputKind::ByProduct : OutputKind::CoProduct;
    $line = new ComesBack(
        $item,
        $item,
        $kind,
        BigRational::of($quantity),
        LineBasis::PerOrder,
        $rule,
        BigDecimal::of($share),
    );

    return [$line, BigRational::of($quantity)];
}

/** @return array<string, string> euros, by item; what is left under '' */
function carried(RolledCost $of, string $worth, array $lines): array
{
    $back = RolledBack::all($of, BigDecimal::of($worth), $lines);
    $carried = [];
    foreach ($back as $one) {
        $carried[$one->line->item] = (string) $one->carries->total()->dividedBy(CENTS)->simplified();
    }
    $left = (new RolledCost($of->pieces, $of->lines, $of->work, $back))->total();

    return [...$carried, '' => (string) $left->total()->dividedBy(CENTS)->simplified()];
}

function costOf(string $pieces, int $material, int $labour = 0): RolledCost
{
    return new RolledCost(BigDecimal::of($pieces), [], ExactCost::of(
        material: BigRational::of($material * CENTS),
        labour: BigRational::of($labour * CENTS),
    ));
}

it('shares the cost of the dairy by sales value at split-off, and by physical measure', function () {
    $dairy = costOf('75000', 400_000);
    expect(carried($dairy, '4', [jointOutput('CREAM', ShareRule::Value, '8', '25000')]))
        ->toBe(['CREAM' => '160000', '' => '240000'])
        ->and(carried($dairy, '4', [jointOutput('CREAM', ShareRule::Quantity, '0', '25000')]))
        ->toBe(['CREAM' => '100000', '' => '300000']);
});

it('gives by per cent what was said, whatever comes', function () {
    expect(carried(costOf('10', 1000), '1', [
        jointOutput('HALF', ShareRule::Percent, '30', '7'),
        jointOutput('QUARTER', ShareRule::Percent, '12.5', '900'),
    ]))->toBe(['HALF' => '300', 'QUARTER' => '125', '' => '575']);
});

it('takes the value of a by-product off first, and shares what is left', function () {
    // chips are worth 40 together; of 960 the half carries 160 of 480 parts
    expect(carried(costOf('40', 1000), '8', [
        jointOutput('HALF', ShareRule::Value, '4', '40'),
        jointOutput('CHIPS', ShareRule::SetValue, '0.5', '80'),
    ]))->toBe(['CHIPS' => '40', 'HALF' => '320', '' => '640']);
});

it('credits no more than it costs', function () {
    expect(carried(costOf('1', 30), '5', [
        jointOutput('GOLD', ShareRule::SetValue, '25', '1'),
        jointOutput('SILVER', ShareRule::SetValue, '25', '1'),
    ]))->toBe(['GOLD' => '25', 'SILVER' => '5', '' => '0']);
});

it('takes a set value off the material, and a share off all kinds of cost alike', function () {
    $of = costOf('1', 60, 40);
    $kinds = fn (array $line): array => array_map(
        fn (BigRational $cents): string => (string) $cents->dividedBy(CENTS)->simplified(),
        [
            RolledBack::all($of, BigDecimal::one(), [$line])[0]->carries->material,
            RolledBack::all($of, BigDecimal::one(), [$line])[0]->carries->labour,
        ],
    );
    expect($kinds(jointOutput('CHIPS', ShareRule::SetValue, '10', '1')))->toBe(['10', '0'])
        ->and($kinds(jointOutput('HALF', ShareRule::Percent, '50', '1')))->toBe(['30', '20']);
});

it('shares nothing by value where nothing is worth anything', function () {
    expect(carried(costOf('4', 100), '0', [jointOutput('HALF', ShareRule::Value, '0', '4')]))
        ->toBe(['HALF' => '0', '' => '100']);
});

it('loses nothing of any cost, exactly, over random outputs', function (int $seed) {
    mt_srand($seed);
    for ($round = 0; $round < 100; $round++) {
        $rule = [ShareRule::Value, ShareRule::Quantity, ShareRule::Percent][mt_rand(0, 2)];
        $lines = [];
        for ($i = 0, $n = mt_rand(1, 4); $i < $n; $i++) {
            $share = (string) ($rule === ShareRule::Percent ? mt_rand(1, 24) : mt_rand(0, 900) / 100);
            $lines[] = jointOutput("CO-{$i}", $rule, $share, (string) mt_rand(1, 500));
        }
        for ($i = 0, $n = mt_rand(0, 3); $i < $n; $i++) {
            $value = (string) (mt_rand(0, 300) / 100);
            $lines[] = jointOutput("BY-{$i}", ShareRule::SetValue, $value, (string) mt_rand(1, 50));
        }
        $of = costOf((string) mt_rand(1, 300), mt_rand(0, 5000), mt_rand(0, 5000));
        $all = carried($of, (string) (mt_rand(0, 900) / 100), $lines);
        $sum = array_reduce(
            $all,
            fn (BigRational $sum, string $one): BigRational => $sum->plus(BigRational::of($one)),
            BigRational::zero(),
        );
        expect((string) $sum->simplified())
            ->toBe((string) $of->gross()->total()->dividedBy(CENTS)->simplified())
            ->and(array_filter($all, fn (string $one): bool => BigRational::of($one)->isNegative()))->toBe([]);
    }
})->with([1, 33, 1986]);
