<?php

use App\Queries\Station\StationJob;
use App\Reading\Row;

/* A step as its station sees it: pieces are to do, in hand, or passed on, and each is one of these. */

/** @param  array<string, scalar|null>  $columns */
function stationJob(array $columns = []): StationJob
{
    $row = [
        'id' => 7, 'order_id' => 2, 'item_id' => 9, 'order_number' => '218', 'number' => 20, 'name' => 'Form',
        'item_name' => 'Tray', 'item_number' => 'TRAY-40', 'unit' => 'pc', 'quantity' => '10', 'taken_in' => '8',
        'good' => '3', 'scrap' => '1', 'passed_on' => '2', 'next_number' => 30, 'instructions' => '', 'tools' => '',
        'started_at' => null, 'worker' => null, 'spell_from' => null, 'work_centre_id' => 4, 'crew' => 1,
        'start_at' => null, 'late_minutes' => null, 'parts_open' => 1, 'made_by_item' => null, 'made_by_step' => null,
        ...$columns,
    ];

    return Row::each((string) json_encode([$row]), StationJob::from(...))[0];
}

it('has each piece that came in to do, in hand, scrapped or passed on', function () {
    mt_srand(6);
    for ($round = 0; $round < 200; $round++) {
        $in = mt_rand(0, 50);
        $good = mt_rand(0, $in);
        $scrap = mt_rand(0, $in - $good);
        $on = mt_rand(0, $good);
        $job = stationJob(['taken_in' => "{$in}", 'good' => "{$good}", 'scrap' => "{$scrap}", 'passed_on' => "{$on}"]);
        $sum = $job->toDo()->plus($job->inHand())->plus($scrap)->plus($on);
        expect($sum->toInt())->toBe($in)
            ->and($job->toPassOn()->toInt())->toBe($in - $scrap - $on)
            ->and($job->isHere())->toBe($in > $on)
            ->and($job->canStart())->toBe($in > $good + $scrap);
    }
});

it('cannot be started twice, nor with nothing to do', function () {
    expect(stationJob()->canStart())->toBeTrue()
        ->and(stationJob(['started_at' => '2026-11-24 08:00:00'])->canStart())->toBeFalse()
        ->and(stationJob(['started_at' => '2026-11-24 08:00:00'])->isRunning())->toBeTrue()
        ->and(stationJob(['good' => '7', 'scrap' => '1'])->canStart())->toBeFalse()
        ->and(stationJob(['taken_in' => '0', 'good' => '0', 'scrap' => '0', 'passed_on' => '0'])->isHere())
        ->toBeFalse();
});

it('says what is to be counted, what is in hand, and which parts are missing', function () {
    expect(stationJob()->goodSays())->toBe('Good, of 4')
        ->and(stationJob(['taken_in' => '8.5'])->goodSays())->toBe('Good, of 4.5')
        ->and(stationJob()->inHandSays())->toBe('1 good in hand')
        ->and(stationJob(['next_number' => null])->inHandSays())->toBe('1 good in hand, to be received')
        ->and(stationJob()->partsSay())->toBe('1 part not issued yet')
        ->and(stationJob(['parts_open' => 3])->partsSay())->toBe('3 parts not issued yet')
        ->and([stationJob()->step(), stationJob()->form()])->toBe(['20 Form', 'step-7']);
});

it('is of its own routing, or of that of a phantom in it', function () {
    expect([stationJob()->madeByItem, stationJob()->madeByStep])->toBe([9, 20]);
    $phantom = stationJob(['made_by_item' => 11, 'made_by_step' => 10]);
    expect([$phantom->madeByItem, $phantom->madeByStep])->toBe([11, 10])
        ->and(stationJob(['crew' => 0])->isUnattended)->toBeTrue()
        ->and(stationJob(['late_minutes' => 90])->lateMinutes)->toBe(90);
});
