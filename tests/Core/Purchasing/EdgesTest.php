<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\AnsweredLine;
use KeepPace\Core\Purchasing\BilledLine;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Purchasing\PurchaseState;

/* Purchases at the edge: an answer that differs in one thing, a bill of nothing, a line of a draft. Common practice. */

it('sees an answer that differs in the quantity, in the price, in both or in none', function (
    string $quantity,
    string $price,
    array $is,
    string $more,
) {
    $line = new AnsweredLine(
        BigDecimal::of('10'),
        BigDecimal::of('2.50'),
        BigDecimal::of($quantity),
        BigDecimal::of($price),
    );
    expect([$line->isOtherQuantity(), $line->isOtherPrice(), $line->differs()])->toBe($is)
        ->and($line->costsMore()->isEqualTo($more))->toBeTrue();
})->with([
    'the same' => ['10.000', '2.5', [false, false, false], '0'],
    'fewer' => ['8', '2.50', [true, false, true], '-5'],
    'dearer' => ['10', '2.75', [false, true, true], '2.50'],
    'more and cheaper' => ['12', '2', [true, true, true], '-1'],
]);

it('takes a line below zero for a credit, and one of nothing for none', function (string $quantity, bool $is) {
    $line = new BilledLine('P-1/1', BigDecimal::of(5), BigDecimal::of('2'), BigDecimal::of($quantity), 0);
    expect($line->isCredit())->toBe($is);
})->with([['-1', true], ['-0.000001', true], ['0', false], ['1', false]]);

it('says of a line where it stands, draft or sent', function (array $of, PurchaseState $is) {
    expect(PurchaseState::ofLine(...$of))->toBe($is);
})->with([
    'a draft is a draft, whatever else' => [[true, true, true, true], PurchaseState::Draft],
    'sent' => [[false, false, true, false], PurchaseState::Sent],
    'confirmed' => [[false, true, true, false], PurchaseState::Confirmed],
    'partly in' => [[false, false, true, true], PurchaseState::PartIn],
    'done' => [[false, false, false, true], PurchaseState::Done],
    'given up' => [[false, true, false, false], PurchaseState::Cancelled],
]);

it('refuses a deed with the sentence that says why, and lets the others pass', function (PurchaseDeed $deed) {
    foreach (PurchaseState::cases() as $state) {
        foreach ([false, true] as $isChanged) {
            $why = $deed->whyNot('P-7', $state, $isChanged);
            $said = null;
            try {
                PurchaseRefused::unless($deed, 'P-7', $state, $isChanged);
            } catch (PurchaseRefused $refused) {
                $said = $refused->getMessage();
            }
            expect($said)->toBe($why);
        }
    }
})->with(PurchaseDeed::cases());
