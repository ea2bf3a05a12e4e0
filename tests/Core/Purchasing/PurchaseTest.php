<?php

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Purchasing\AnsweredLine;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Purchasing\TypedPrice;

/* States of a purchase order, what may be done in each, and an answer beside what was ordered: common practice. */

it('stands as its lines do', function (bool $sent, bool $confirmed, bool $open, bool $come, PurchaseState $is) {
    expect(PurchaseState::derived($sent, $confirmed, $open, $come))->toBe($is);
})->with([
    'put down' => [false, false, true, false, PurchaseState::Draft],
    'sent' => [true, false, true, false, PurchaseState::Sent],
    'confirmed' => [true, true, true, false, PurchaseState::Confirmed],
    'some came before it was confirmed' => [true, false, true, true, PurchaseState::PartIn],
    'some came' => [true, true, true, true, PurchaseState::PartIn],
    'all came' => [true, true, false, true, PurchaseState::Done],
    'given up after some came' => [true, false, false, true, PurchaseState::Done],
    'given up' => [true, true, false, false, PurchaseState::Cancelled],
    'a draft given up' => [false, false, false, false, PurchaseState::Cancelled],
]);

it('allows each deed where it makes sense, and says why not', function () {
    $may = fn (PurchaseDeed $deed, bool $changed = false): array => array_values(array_map(
        fn (PurchaseState $state): string => $state->value,
        array_filter(
            PurchaseState::cases(),
            fn (PurchaseState $state): bool => $deed->whyNot('P-1', $state, $changed) === null,
        ),
    ));
    expect($may(PurchaseDeed::Send))->toBe(['draft'])
        ->and($may(PurchaseDeed::Send, true))->toBe(['draft', 'sent', 'confirmed', 'part_in'])
        ->and($may(PurchaseDeed::Answer))->toBe(['sent', 'confirmed', 'part_in'])
        ->and($may(PurchaseDeed::Change))->toBe(['draft', 'sent', 'confirmed', 'part_in'])
        ->and($may(PurchaseDeed::Cancel))->toBe($may(PurchaseDeed::Change))
        ->and($may(PurchaseDeed::MoveToOther))->toBe($may(PurchaseDeed::Change))
        ->and(PurchaseDeed::Answer->whyNot('P-1', PurchaseState::Draft, false))
        ->toBe('Purchase P-1 is a draft. Send it first.')
        ->and(PurchaseDeed::Change->whyNot('P-1', PurchaseState::Done, false))
        ->toBe('Purchase P-1 is done: nothing of it is to come.')
        ->and(PurchaseDeed::Send->whyNot('P-1', PurchaseState::Sent, false))
        ->toBe('Purchase P-1 is sent, and nothing was changed since it was sent.');
});

it('sets an answer against what was ordered', function () {
    $line = fn (string $quantity, string $price): AnsweredLine => new AnsweredLine(
        BigDecimal::of('40'),
        BigDecimal::of('1.20'),
        BigDecimal::of($quantity),
        BigDecimal::of($price),
    );
    expect($line('40.000000', '1.2')->differs())->toBeFalse()
        ->and($line('36', '1.20')->isOtherQuantity())->toBeTrue()
        ->and($line('36', '1.20')->isOtherPrice())->toBeFalse()
        ->and((string) $line('36', '1.20')->costsMore())->toBe('-4.80')
        // by hand: 36 at 1.25 are 45.00, 40 at 1.20 are 48.00
        ->and((string) $line('36', '1.25')->costsMore())->toBe('-3.00')
        ->and((string) $line('40', '1.25')->costsMore())->toBe('2.00');
});

it('says a price by the unit it was ordered in, and loses nothing to what is shown', function () {
    // by hand: 2.4031 a metre, lengths of 3 m: 7.2093 each; 100 lengths are 300 m, 720.93
    $length = new TypedPrice(BigDecimal::of('2.4031'), BigRational::of(3));
    expect((string) $length->each())->toBe('7.2093')->and($length->cents(BigDecimal::of(300)))->toBe(72093);
    // a third of a metre: 0.80103333 is shown as 0.8010; 3,000 thirds are still 2,403.10
    $third = new TypedPrice(BigDecimal::of('2.4031'), BigRational::of('1/3'));
    expect((string) $third->each())->toBe('0.8010')->and($third->cents(BigDecimal::of(1000)))->toBe(240310);
});
