<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Planning\StockPosition;
use KeepPace\Core\Quantity\Amount;

function lotSize(LotSizing $rule, string $lot = '0', string $least = '0'): LotSize
{
    return new LotSize($rule, BigDecimal::of($lot), BigDecimal::of($least));
}

// trade.md, W10: minimum, then multiple; common practice for the others
it('orders by the rule', function (LotSize $rule, string $need, string $order) {
    expect(Amount::plain($rule->of(BigDecimal::of($need))))->toBe($order);
})->with([
    'as needed' => [fn () => LotSize::asNeeded(), '3.5', '3.5'],
    'nothing needed' => [fn () => lotSize(LotSizing::Fixed, '40'), '0', '0'],
    'one lot' => [fn () => lotSize(LotSizing::Fixed, '40'), '5', '40'],
    'just a lot' => [fn () => lotSize(LotSizing::Fixed, '40'), '40', '40'],
    'two lots' => [fn () => lotSize(LotSizing::Fixed, '40'), '40.1', '80'],
    'the minimum' => [fn () => lotSize(LotSizing::Multiple, '0', '10'), '3', '10'],
    'first the minimum, then the multiple' => [fn () => lotSize(LotSizing::Multiple, '6', '10'), '3', '12'],
    'above the minimum' => [fn () => lotSize(LotSizing::Multiple, '6', '10'), '13', '18'],
    'a multiple with a part' => [fn () => lotSize(LotSizing::Multiple, '2.5'), '6', '7.5'],
]);

// trade.md, W8, by level: 30 there, 15 promised, nothing coming, reorder point 20, lot 40: position 15, propose 40 now;
// after it 55, nothing more
it('proposes up to the level, by the lot rule', function (string $coming, string $proposal) {
    $position = new StockPosition(
        BigDecimal::of(30),
        BigDecimal::of($coming),
        BigDecimal::of(15),
        BigDecimal::of(20),
    );
    expect((string) $position->proposal(lotSize(LotSizing::Fixed, '40')))->toBe($proposal);
})->with(['before' => ['0', '40'], 'after' => ['40', '0']]);

it('proposes a lot at the reorder point itself, and as needed nothing', function () {
    $at = new StockPosition(BigDecimal::of(20), BigDecimal::zero(), BigDecimal::zero(), BigDecimal::of(20));
    expect((string) $at->proposal(lotSize(LotSizing::Fixed, '40')))->toBe('40')
        ->and((string) $at->proposal(LotSize::asNeeded()))->toBe('0');
    $below = new StockPosition(BigDecimal::of(14), BigDecimal::zero(), BigDecimal::zero(), BigDecimal::of(20));
    expect((string) $below->proposal(LotSize::asNeeded()))->toBe('6');
});

it('says what cannot be so, and what is so in words', function () {
    expect(lotSize(LotSizing::Fixed)->wrong())->toHaveKey('lot_quantity')
        ->and(lotSize(LotSizing::Multiple)->wrong())->toBe([])
        ->and(lotSize(LotSizing::Fixed, '40')->says())->toBe('lots of 40')
        ->and(lotSize(LotSizing::Multiple, '6', '10')->says())->toBe('at least 10, in multiples of 6')
        ->and(LotSize::asNeeded()->says())->toBe('');
});
