<?php

use App\Queries\Board\DispatchRow;
use App\Reading\Row;

/* A step on a dispatch list says first what keeps it, by the order in which a foreman would ask: common practice. */

/** @param  array<string, scalar|null>  $columns */
function dispatchRow(array $columns = []): DispatchRow
{
    $row = [
        'id' => 7, 'work_centre_id' => 1, 'order_id' => 2, 'order' => '218', 'number' => 20, 'name' => 'Form',
        'item_name' => 'Tray', 'item_number' => 'TRAY-40', 'quantity' => '10.500000', 'unit' => 'pc', 'run' => null,
        'family' => 'steel', 'machine' => 1, 'start_at' => '2026-11-24 09:00:00', 'run_at' => '2026-11-24 09:15:00',
        'end_at' => '2026-11-24 11:00:00', 'late_minutes' => null, 'started_at' => null, 'missing' => 0,
        'coming' => 0, 'state' => 'released', 'has_pieces' => 1, 'to_issue' => 0, 'instructions' => '', 'tools' => '',
        ...$columns,
    ];

    return Row::each((string) json_encode([$row]), DispatchRow::from(...))[0];
}

it('says the first thing that keeps it', function (array $columns, string $says, string $tone) {
    $row = dispatchRow($columns);
    expect([$row->ready, $row->tone()])->toBe([$says, $tone])
        ->and($row->canStart())->toBe($says === 'can start');
})->with([
    [[], 'can start', 'good'],
    [['to_issue' => 2], 'parts to be issued', ''],
    [['to_issue' => 2, 'has_pieces' => 0], 'pieces not here yet', ''],
    [['has_pieces' => 0, 'state' => 'firm'], 'parts are there', ''],
    [['coming' => 1, 'state' => 'firm'], 'parts are coming', 'soon'],
    [['coming' => 1, 'missing' => 1, 'state' => 'firm'], 'parts not ordered', 'behind'],
    // what runs runs, whatever is missing by now
    [['started_at' => '2026-11-24 08:00:00', 'missing' => 3, 'state' => 'running'], 'running', 'good'],
]);

it('says with whom it is set up, and from when it runs behind its set-up', function () {
    expect(dispatchRow()->family)->toBe('steel')
        ->and(dispatchRow(['family' => null])->family)->toBe('')
        ->and(dispatchRow(['run' => 12])->family)->toBe('run 12, set up once')
        ->and(dispatchRow()->runFrom())->toBe('09:15')
        ->and(dispatchRow(['run_at' => '2026-11-24 09:00:00'])->runFrom())->toBe('')
        ->and(dispatchRow(['run_at' => null])->runFrom())->toBe('');
});

it('names the papers that go with it, and none before the release', function () {
    expect(dispatchRow()->papers)->toBe('traveler')
        ->and(dispatchRow(['instructions' => 'Mind the edge.', 'tools' => 'die 4'])->papers)
        ->toBe('traveler, instructions, die 4')
        ->and(dispatchRow(['state' => 'firm', 'tools' => 'die 4'])->papers)->toBe('not released');
});

it('is printed as people read it, and as CSV as machines do: ISO 8601, in the plant’s zone', function () {
    $iso = dispatchRow()->cells(true);
    expect($iso[1])->toBe('2026-11-24T09:00:00+00:00')
        ->and($iso)->toHaveCount(10)
        ->and(array_slice($iso, 3))->toBe(['218', '20 Form', 'TRAY-40 Tray', '10.5', 'steel', 'can start', 'traveler'])
        // in summer the plant is an hour ahead of UTC
        ->and(dispatchRow(['start_at' => '2026-07-01 07:00:00'])->cells(true)[1])->toBe('2026-07-01T08:00:00+01:00')
        ->and(dispatchRow(['machine' => null])->cells(false)[0])->toBe('0');
});
