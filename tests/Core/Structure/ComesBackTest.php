<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Structure\ComesBack;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;

/* What comes out of an order beside its product: common practice of joint production (trade.md, W2, W3 and W33). */

function outLine(
    string $item,
    OutputKind $kind,
    ShareRule $rule,
    string $share = '0',
    string $quantity = '1',
    LineBasis $basis = LineBasis::PerUnit,
): ComesBack {
    return new ComesBack($item, $item, $kind, BigRational::of($quantity), $basis, $rule, BigDecimal::of($share));
}

it('comes with each piece, or once for the order', function () {
    $each = outLine('OFFCUT', OutputKind::ByProduct, ShareRule::SetValue, '2', '3/4');
    $once = outLine('SPRUE', OutputKind::ByProduct, ShareRule::SetValue, '2', '5', LineBasis::PerOrder);
    expect((string) $each->for(BigRational::of(10))->simplified())->toBe('15/2')
        ->and((string) $once->for(BigRational::of(10))->simplified())->toBe('5');
});

it('has nothing against lines that go together', function () {
    expect(ComesBack::wrong([
        'a' => outLine('HALF', OutputKind::CoProduct, ShareRule::Percent, '40'),
        'b' => outLine('QUARTER', OutputKind::CoProduct, ShareRule::Percent, '25'),
        'c' => outLine('CHIPS', OutputKind::ByProduct, ShareRule::SetValue, '0.8'),
        'd' => outLine('CORE', OutputKind::Recovered, ShareRule::SetValue, '12'),
        // of one item twice, said alike: from two steps of the structure
        'e' => outLine('CHIPS', OutputKind::ByProduct, ShareRule::SetValue, '0.80', '2'),
    ]))->toBe([]);
});

it('says at its own line what is wrong', function (array $lines, array $wrong) {
    expect(ComesBack::wrong($lines))->toBe($wrong);
})->with([
    'a co-product at a set value would be no co-product' => [
        [outLine('HALF', OutputKind::CoProduct, ShareRule::SetValue, '40')],
        [['share_rule', 'A co-product shares the cost by value, by pieces or by per cent.']],
    ],
    'what is left over carries no share of the cost' => [
        [
            outLine('CHIPS', OutputKind::ByProduct, ShareRule::Quantity),
            outLine('CORE', OutputKind::Recovered, ShareRule::Percent, '5'),
        ],
        [
            ['share_rule', 'What is left over or taken out goes at a set value.'],
            ['share_rule', 'What is left over or taken out goes at a set value.'],
        ],
    ],
    'two rules for one cost' => [
        [
            outLine('HALF', OutputKind::CoProduct, ShareRule::Value, '10'),
            outLine('QUARTER', OutputKind::CoProduct, ShareRule::Quantity),
        ],
        [1 => ['share_rule', 'All co-products share the cost by one rule.']],
    ],
    'one item, left over once and taken out once' => [
        [
            outLine('CORE', OutputKind::ByProduct, ShareRule::SetValue, '12'),
            outLine('CORE', OutputKind::Recovered, ShareRule::SetValue, '12'),
        ],
        [1 => ['component', 'CORE comes back already, as something else. Say the same of both.']],
    ],
    'one item at two values' => [
        [
            outLine('CORE', OutputKind::Recovered, ShareRule::SetValue, '12'),
            outLine('CORE', OutputKind::Recovered, ShareRule::SetValue, '12.01'),
        ],
        [1 => ['component', 'CORE comes back already, as something else. Say the same of both.']],
    ],
    'all of the cost is given away' => [
        [
            outLine('HALF', OutputKind::CoProduct, ShareRule::Percent, '60'),
            outLine('QUARTER', OutputKind::CoProduct, ShareRule::Percent, '39.99'),
            outLine('EIGHTH', OutputKind::CoProduct, ShareRule::Percent, '0.01'),
        ],
        [2 => ['share', 'Together they take 100 per cent or more: nothing is left for the product.']],
    ],
]);
