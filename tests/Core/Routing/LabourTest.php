<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Refused;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;

/* People's minutes of a step whose machine runs longer than somebody is there: common practice of machine tending. */

function tended(
    string $setup,
    string $rate,
    ?string $machine = null,
    RunBasis $basis = RunBasis::MinutesPerUnit,
): StepTime {
    return new StepTime(
        BigDecimal::of($setup),
        $basis,
        BigDecimal::of($rate),
        $basis === RunBasis::MinutesPerBatch ? BigDecimal::of(8) : null,
        $machine === null ? null : BigDecimal::of($machine),
    );
}

it('has people there as long as it runs, where no other time of the machine is said', function () {
    $step = tended('15', '3');
    expect($step->isTended())->toBeTrue()
        ->and($step->minutes(BigDecimal::of(10)))->toBe(45)
        ->and($step->labour(BigDecimal::of(10), 2))->toBe(90)
        // so much was booked, so much is theirs, each
        ->and($step->labourIn(37, 2, true))->toBe(74)
        ->and($step->labourIn(37, 2, false))->toBe(74);
});

it('has people there for their share of the run, and for all of the setup', function () {
    // a minute to load and unload of the four the machine is held
    $step = tended('20', '1', '4');
    expect($step->isTended())->toBeFalse()
        ->and($step->minutes(BigDecimal::of(10)))->toBe(60)
        ->and($step->labour(BigDecimal::of(10), 1))->toBe(30)
        ->and($step->labourIn(60, 1, true))->toBe(30)
        // the setup was booked before: the 40 are run alone
        ->and($step->labourIn(40, 1, false))->toBe(10)
        ->and($step->labourIn(40, 3, false))->toBe(30)
        // less than the setup was booked: it is all setup
        ->and($step->labourIn(12, 1, true))->toBe(12);
});

it('asks for as many minutes of people as the whole run takes, however it is booked in parts', function (int $seed) {
    mt_srand($seed);
    for ($round = 0; $round < 300; $round++) {
        $attended = mt_rand(1, 40) / 4;
        $step = tended((string) mt_rand(0, 60), (string) $attended, (string) ($attended + mt_rand(0, 80) / 4));
        $pieces = BigDecimal::of(mt_rand(1, 200));
        $crew = mt_rand(1, 3);
        $minutes = $step->minutes($pieces);
        $planned = $step->labour($pieces, $crew);
        // minutes and labour are rounded up once each, what is booked half up
        expect(abs($step->labourIn($minutes, $crew, true) - $planned))->toBeLessThanOrEqual($crew)
            ->and($step->labourIn($minutes, $crew, true))->toBeLessThanOrEqual($minutes * $crew);
        $setup = min($minutes, (int) ceil((float) (string) $step->setup));
        $parts = $step->labourIn($setup, $crew, true);
        $booked = 1;
        for ($left = $minutes - $setup; $left > 0; $left -= $part, $booked++) {
            $part = mt_rand(1, $left);
            $parts += $step->labourIn($part, $crew, false);
        }
        // half a minute each, and the roundings up
        expect(abs($parts - $planned))->toBeLessThanOrEqual($crew + $booked);
    }
})->with([7, 8]);

it('counts people by whole batches, and the machine by the piece', function () {
    $step = tended('0', '30', '6', RunBasis::MinutesPerBatch);
    // 17 pieces: 102 minutes of the machine, three batches of eight for people
    expect($step->minutes(BigDecimal::of(17)))->toBe(102)
        ->and($step->labour(BigDecimal::of(17), 1))->toBe(90)
        // what was booked is taken to be full batches: 30 of each 48 minutes
        ->and($step->labourIn(96, 1, false))->toBe(60)
        ->and($step->labourIn(96, 2, false))->toBe(120);
});

it('takes another setup and leaves all else', function () {
    $step = tended('15', '3', '5');
    $other = $step->setUpIn(BigDecimal::of('7.5'));
    expect((string) $other->setup)->toBe('7.5')
        ->and($other->rate)->toBe($step->rate)
        ->and($other->machine)->toBe($step->machine)
        ->and((string) $step->setup)->toBe('15');
});

it('refuses what would take more than ten years', function () {
    expect(fn () => tended('0', '60')->minutes(BigDecimal::of(1_000_000)))
        ->toThrow(Refused::class, '1000000 pieces would take 114 years here. Check the quantity and the run time.');
});
