<?php

use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\FlowEvent;
use KeepPace\Core\Planning\StockFlow;

/* Projected available balance: what is there, plus what comes, minus what goes, by time; common practice. */

/** @param  list<array{int|null, int}>  $events  minute and quantity */
function flowing(int $start, int $safety, array $events): StockFlow
{
    return StockFlow::of(BigDecimal::of($start), BigDecimal::of($safety), array_map(
        fn (array $one, int $key): FlowEvent => new FlowEvent($one[0], BigDecimal::of($one[1]), $key),
        $events,
        array_keys($events),
    ));
}

/** @return list<int> */
function balances(StockFlow $flow): array
{
    return array_map(fn ($row): int => $row->after->toInt(), $flow->rows);
}

it('runs by time, comes before it goes in one minute, and leaves out what has no day', function () {
    $flow = flowing(30, 10, [[300, -15], [100, -12], [200, 20], [null, 50], [300, 4], [null, -9]]);
    expect(balances($flow))->toBe([18, 38, 42, 27])
        ->and(count($flow->undated))->toBe(2)
        ->and($flow->end()->toInt())->toBe(27)
        ->and($flow->below)->toBeNull()
        ->and($flow->short)->toBeNull()
        ->and($flow->missing()->toInt())->toBe(0);
});

it('says when it falls below its safety level, when it is short, and what would cure it', function () {
    // by hand: 30, then 18, 8 (below 10), -4 (short), 16
    $flow = flowing(30, 10, [[100, -12], [200, -10], [300, -12], [400, 20]]);
    expect(balances($flow))->toBe([18, 8, -4, 16])
        ->and($flow->below?->at())->toBe(200)
        ->and($flow->short?->at())->toBe(300)
        ->and($flow->lowest?->after->toInt())->toBe(-4)
        ->and($flow->missing()->toInt())->toBe(4)
        ->and($flow->missingToSafety()->toInt())->toBe(14);
});

it('does not say that it falls where it is below already', function () {
    $flow = flowing(5, 10, [[100, -2], [200, 30]]);
    expect($flow->isBelowNow())->toBeTrue()
        ->and($flow->below)->toBeNull()
        ->and($flow->missingToSafety()->toInt())->toBe(7);
});

it('counts what is there now where nothing comes or goes', function () {
    expect(flowing(-3, 0, [])->missing()->toInt())->toBe(3)
        ->and(flowing(8, 10, [])->missingToSafety()->toInt())->toBe(2)
        ->and(flowing(8, 10, [])->end()->toInt())->toBe(8);
});

it('is cured by just what it says is missing, and by nothing less', function () {
    mt_srand(16);
    for ($run = 0; $run < 200; $run++) {
        $safety = mt_rand(0, 10);
        $events = array_map(fn (): array => [mt_rand(0, 50), mt_rand(-20, 15)], range(0, mt_rand(0, 12)));
        $flow = flowing(mt_rand(0, 30), $safety, $events);
        $missing = $flow->missing()->toInt();
        $with = fn (int $more): StockFlow => flowing($flow->start->toInt() + $more, $safety, $events);
        expect($with($missing)->short)->toBeNull();
        $missing === 0 ?: expect($with($missing - 1)->short)->not->toBeNull();
        $toSafety = $flow->missingToSafety()->toInt();
        $least = fn (StockFlow $of): int => min([$of->start->toInt(), ...balances($of)]);
        expect($least($with($toSafety)))->toBeGreaterThanOrEqual($safety);
        $toSafety === 0 ?: expect($least($with($toSafety - 1)))->toBeLessThan($safety);
    }
});
