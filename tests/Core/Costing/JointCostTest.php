<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Costing\Credit;
use KeepPace\Core\Costing\JointCost;
use KeepPace\Core\Costing\JointOutput;
use KeepPace\Core\Costing\Settlement;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Structure\Runs;
use KeepPace\Core\Structure\ShareRule;

/** So much of an output by a rule. */
function joint(ShareRule $rule, string $quantity, string $share = '0'): JointOutput
{
    return new JointOutput($rule, BigDecimal::of($quantity), BigDecimal::of($share));
}

it('shares by value, one received before the other comes', function (): void {
    // trade.md, W2
    $planned = JointCost::planned(150_000, [
        1 => joint(ShareRule::Rest, '100', '12'),
        2 => joint(ShareRule::Value, '60', '5'),
    ]);

    expect($planned)->toBe([1 => 120_000, 2 => 30_000]);
    expect(Cents::part($planned[1], BigDecimal::of(40), BigDecimal::of(100)))->toBe(48_000);

    $settled = JointCost::settled(162_000, [
        1 => joint(ShareRule::Rest, '96', '12'),
        2 => joint(ShareRule::Value, '60', '5'),
    ], []);

    expect($settled)->toBe([1 => 128_529, 2 => 33_471]);

    $rings = Settlement::decide(
        $settled[1],
        115_200,
        BigDecimal::of(96),
        BigDecimal::of(56),
        Cents::part(115_200, BigDecimal::of(56), BigDecimal::of(96)),
    );
    $lids = Settlement::decide($settled[2], 30_000, BigDecimal::of(60), BigDecimal::of(60), 30_000);

    expect([$rings->toStock, $rings->variance])->toBe([7_775, 5_554]);
    expect([$lids->toStock, $lids->variance])->toBe([3_471, 0]);
    expect(7_775 + 5_554 + 3_471)->toBe(162_000 - 145_200);
});

it('takes the planned credit of a by-product off and values it once', function (): void {
    // trade.md, W3
    $planned = JointCost::planned(100_000, [
        1 => joint(ShareRule::Rest, '100'),
        2 => joint(ShareRule::SetValue, '20', '0.90'),
    ]);

    expect($planned)->toBe([1 => 98_200, 2 => 1_800]);
    expect(Cents::part($planned[1], BigDecimal::of(60), BigDecimal::of(100)))->toBe(58_920);

    $credit = Credit::next(BigDecimal::of(23), BigDecimal::of('0.90'), 0, 101_200 - 58_920);

    expect($credit)->toBe(2_070);

    $settled = JointCost::settled(101_200, [
        1 => joint(ShareRule::Rest, '100'),
        2 => joint(ShareRule::SetValue, '23', '0.90'),
    ], [2 => $credit]);
    $product = Settlement::decide($settled[1], 98_200, BigDecimal::of(100), BigDecimal::of(70), 68_740);

    expect($settled[1] - 98_200)->toBe(930);
    expect([$product->toStock, $product->variance])->toBe([651, 279]);
});

it('credits an order with no more than it has cost', function (): void {
    // trade.md, W3: 'credit never exceeds the cost in'
    expect(Credit::next(BigDecimal::of(30), BigDecimal::of(1), 1_000, 1_500))->toBe(1_500);
    expect(Credit::next(BigDecimal::of(30), BigDecimal::of(1), 3_000, 1_500))->toBe(0);
    expect(JointCost::planned(1_000, [
        joint(ShareRule::Rest, '1'),
        joint(ShareRule::SetValue, '30', '1'),
    ]))->toBe([0, 1_000]);
});

it('keeps the percents whatever comes, and gives those of what did not come to the others', function (): void {
    // trade.md, W2, last rule
    $outputs = fn (string $ring, string $lid, string $plug): array => [
        joint(ShareRule::Rest, $ring),
        joint(ShareRule::Percent, $lid, '20'),
        joint(ShareRule::Percent, $plug, '10'),
    ];

    expect(JointCost::settled(10_000, $outputs('90', '2', '7'), []))->toBe([7_000, 2_000, 1_000]);
    expect(JointCost::settled(9_000, $outputs('90', '2', '0'), []))->toBe([7_000, 2_000, 0]);
    expect(JointCost::settled(9_000, $outputs('0', '0', '0'), []))->toBe([9_000, 0, 0]);
});

it('shares by pieces alone', function (): void {
    // trade.md, W2: 'by quantity: pieces alone'
    expect(JointCost::settled(10_000, [
        joint(ShareRule::Rest, '30', '99'),
        joint(ShareRule::Quantity, '10'),
    ], []))->toBe([7_500, 2_500]);
});

it('loses no cent over random outputs', function (): void {
    mt_srand(18);
    for ($n = 0; $n < 400; $n++) {
        $rule = [ShareRule::Quantity, ShareRule::Value, ShareRule::Percent][$n % 3];
        $outputs = [joint(ShareRule::Rest, (string) mt_rand(0, 99), (string) mt_rand(0, 50))];
        for ($i = mt_rand(0, 4); $i > 0; $i--) {
            $outputs[] = joint($rule, mt_rand(0, 999).'.'.mt_rand(0, 9), (string) mt_rand(1, 20));
        }
        for ($i = mt_rand(0, 2); $i > 0; $i--) {
            $outputs[] = joint(ShareRule::SetValue, (string) mt_rand(0, 40), '0.'.mt_rand(1, 99));
        }
        $cost = mt_rand(0, 900_000);
        $planned = JointCost::planned($cost, $outputs);

        expect(array_sum($planned))->toBe($cost);
        expect(min($planned))->toBeGreaterThanOrEqual(0);
        expect(array_keys($planned))->toBe(array_keys($outputs));
    }
});

it('makes one order for the greater need by runs', function (): void {
    // trade.md, W23
    $wanted = ['ring' => BigDecimal::of(100), 'lid' => BigDecimal::of(60)];
    $one = ['ring' => BigRational::one(), 'lid' => BigRational::one()];
    $two = ['ring' => BigRational::one(), 'lid' => BigRational::of(2)];

    expect((string) Runs::for($wanted, $one))->toBe('100');
    expect((string) Runs::over(BigDecimal::of(100), $wanted, $one)['lid'])->toBe('40');
    expect((string) Runs::for($wanted, $two))->toBe('100');
    expect((string) Runs::over(BigDecimal::of(100), $wanted, $two)['lid'])->toBe('140');
    expect((string) Runs::for(['lid' => BigDecimal::of(301)], $two))->toBe('151');
});
