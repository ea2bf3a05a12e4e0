<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\BilledLine;
use KeepPace\Core\Purchasing\BillRefused;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Quantity\Amount;

/* A bill against what was ordered and what came (three-way match). Common practice; the figures are worked by hand. */

function billedLine(string $owed, string $agreed, string $quantity, int $cents): BilledLine
{
    return new BilledLine(
        'P-1/1',
        BigDecimal::of($owed),
        BigDecimal::of($agreed),
        BigDecimal::of($quantity),
        $cents,
    );
}

it('finds what differs', function (
    BilledLine $line,
    string $notHere,
    int $dearer,
    bool $isAsAgreed,
) {
    expect(Amount::plain($line->notHere()))->toBe($notHere)
        ->and($line->dearer())->toBe($dearer)
        ->and($line->isAsAgreed())->toBe($isAsAgreed);
})->with([
    'as agreed' => [fn () => billedLine('40', '0.92', '40', 3680), '0', 0, true],
    'part of it' => [fn () => billedLine('40', '0.92', '25', 2300), '0', 0, true],
    'dearer by a cent a piece' => [fn () => billedLine('40', '0.92', '40', 3720), '0', 40, false],
    'cheaper' => [fn () => billedLine('40', '0.92', '40', 3600), '0', -80, false],
    'more than is here' => [fn () => billedLine('38', '0.92', '40', 3680), '2', 0, false],
    'nothing is here: it went back' => [fn () => billedLine('-2', '0.92', '40', 3680), '40', 0, false],
    'credited as it went back' => [fn () => billedLine('-3', '80', '-3', -24000), '0', 0, true],
    'part of it credited' => [fn () => billedLine('-3', '80', '-2', -16000), '0', 0, true],
    'credited less than was paid' => [fn () => billedLine('-3', '80', '-3', -22500), '0', 1500, false],
    'credited, and it is still here' => [fn () => billedLine('5', '80', '-3', -24000), '3', 0, false],
    'credited more than went back' => [fn () => billedLine('-1', '80', '-3', -24000), '2', 0, false],
    'a price of six decimals' => [fn () => billedLine('3', '0.333333', '3', 100), '0', 0, true],
]);

it('takes theirs whole, or ours as far as it came', function () {
    $dear = billedLine('40', '0.92', '40', 3720)->taken(Holds::Theirs);
    expect([Amount::plain($dear->quantity), $dear->cents, $dear->difference])->toBe(['40', 3720, 40]);
    $ours = billedLine('38', '0.92', '40', 3720)->taken(Holds::Ours);
    expect([Amount::plain($ours->quantity), $ours->cents, $ours->difference])->toBe(['38', 3496, 0]);
    $none = billedLine('-2', '0.92', '40', 3720)->taken(Holds::Ours);
    expect([Amount::plain($none->quantity), $none->cents])->toBe(['0', 0]);
});

it('pays nothing that never came', function (string $owed, string $says) {
    expect(fn () => billedLine($owed, '0.92', '40', 3680)->taken(Holds::Theirs))->toThrow(BillRefused::class, $says);
})->with([
    ['38', '38 of P-1/1 are here and not billed, 40 are billed'],
    ['0', 'Nothing of P-1/1 is here and not billed, 40 are billed'],
]);

it('takes a credit whole, or as far as it went back', function () {
    $less = billedLine('-3', '80', '-3', -22500)->taken(Holds::Theirs);
    expect([Amount::plain($less->quantity), $less->cents, $less->difference])->toBe(['-3', -22500, 1500]);
    $ours = billedLine('-1', '80', '-3', -24000)->taken(Holds::Ours);
    expect([Amount::plain($ours->quantity), $ours->cents, $ours->difference])->toBe(['-1', -8000, 0]);
    expect(fn () => billedLine('-1', '80', '-3', -24000)->taken(Holds::Theirs))
        ->toThrow(BillRefused::class, '1 of P-1/1 went back and is not credited yet, 3 are credited')
        ->and(fn () => billedLine('5', '80', '-3', -24000)->taken(Holds::Theirs))
        ->toThrow(BillRefused::class, 'Nothing of P-1/1 went back');
    // work that is charged as a lump goes back in the same part of it
    $work = new BilledLine('P-1/1', BigDecimal::of('-4'), BigDecimal::of('2'), BigDecimal::of('-1'), -400, -1600);
    expect($work->isAsAgreed())->toBeTrue();
});
