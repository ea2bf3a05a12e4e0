<?php

use App\Queries\Usage\FreeLot;
use App\Queries\Usage\SlipRow;
use App\Queries\Usage\SlipSplitRow;
use App\Queries\Usage\SlipUnit;
use App\Reading\Row;

/* A line of a usage slip as a page asks it: what is scarce, what is still to be named, why nothing can be issued. */

/** @param  array<string, scalar|null>  $columns */
function keptRow(array $columns): Row
{
    return Row::each((string) json_encode([$columns]), fn (Row $row): Row => $row)[0];
}

/**
 * @param  array<string, scalar|null>  $columns
 * @param  list<array{string, string}>  $splits  lot and quantity as typed
 * @param  list<array{string, int}>  $stock  quantity and owner
 */
function slipRow(array $columns = [], array $splits = [], array $stock = []): SlipRow
{
    $line = keptRow([
        'id' => 1, 'order_id' => 2, 'order_number' => '218', 'state' => 'released', 'is_held' => 0,
        'component_id' => 5, 'item_id' => 9, 'item_name' => 'Foot', 'item_number' => 'FOOT-1', 'tracking' => 'lot',
        'stock_unit' => 'pc', 'step_number' => 20, 'planned_quantity' => '16', 'used_quantity' => '0',
        'replaced_quantity' => null, 'planned_number' => 'FOOT-1', 'planned_name' => 'Foot', 'supplied_by' => null,
        'proposed' => '16', 'typed' => '16', 'unit' => '', 'reason' => '', 'is_out' => 0, ...$columns,
    ]);
    $units = [
        keptRow(['item_id' => 9, 'code' => 'box', 'p' => '12', 'q' => '1']),
        keptRow(['item_id' => 9, 'code' => 'kg', 'p' => '100', 'q' => '3']),
    ];

    return SlipRow::from(
        $line,
        collect($splits)->map(fn (array $of): SlipSplitRow => SlipSplitRow::from(keptRow([
            'slip_line_id' => 1, 'code' => $of[0], 'typed' => $of[1], 'place_id' => 3,
            'place' => $of[0] === '' ? null : 'Rack '.$of[0],
        ]))),
        collect($stock)->map(fn (array $of): FreeLot => FreeLot::from(keptRow([
            'item_id' => 9, 'owner_id' => $of[1], 'quantity' => $of[0], 'code' => 'H-1', 'expires_on' => '2027-01-31',
            'place' => 'Rack',
        ]))),
        collect($units)->map(SlipUnit::from(...)),
    );
}

it('says how much of lots is still to be named', function (string $typed, string $unit, array $splits, string $says) {
    $row = slipRow(['typed' => $typed, 'unit' => $unit], $splits);
    expect($row->leftSays())->toBe($says)
        ->and($row->isNamed())->toBe(! str_contains($says, 'still') && ! str_contains($says, 'many'));
})->with([
    ['16', '', [['H-1', '10']], '6 still to be named'],
    ['16', '', [['H-1', '10'], ['H-2', '6']], 'all named'],
    ['16', '', [['H-1', '10'], ['H-2', '8']], '2 named too many'],
    ['16', '', [['', '16']], '16 still to be named'], // a quantity without a lot names nothing
    ['16', '', [['H-1', 'ten']], '16 still to be named'],
    ['2', 'box', [['H-1', '20']], '4 still to be named'],
    ['3', 'kg', [['H-1', '100']], 'all named'], // 100 pieces to three kilos
    ['0', '', [], ''],
    ['many', '', [['H-1', '2']], 'all named'], // what is no number is said beside its field
    ['1', 'barrel', [], ''],
]);

it('asks for no lots of what is not tracked', function () {
    $row = slipRow(['tracking' => 'none']);
    expect([$row->isTracked(), $row->left(), $row->isNamed()])->toBe([false, null, true]);
});

it('counts stock of ours for ours, and a customer’s own for what the customer brings', function () {
    $stock = [['5', 0], ['7', 0], ['40', 3]];
    expect((string) slipRow(stock: $stock)->onHand)->toBe('12')
        ->and(slipRow(stock: $stock)->isScarce())->toBeTrue()
        ->and(slipRow(stock: [...$stock, ['4', 0]])->isScarce())->toBeFalse();
    $own = slipRow(['supplied_by' => 'customer'], stock: $stock);
    expect((string) $own->onHand)->toBe('40')
        ->and($own->isCustomersOwn())->toBeTrue()
        ->and($own->isScarce())->toBeFalse();
});

it('says why nothing can be issued to its order', function (array $columns, string $says) {
    expect(slipRow($columns)->orderSays())->toBe($says);
})->with([
    [['state' => 'released'], ''],
    [['state' => 'running'], ''],
    [['state' => 'running', 'is_held' => 1], 'held'],
    [['state' => 'closed'], 'closed'],
    [['state' => 'firm'], 'firm'],
]);

it('knows what stands in for another, and what nobody planned', function () {
    expect(slipRow()->isSubstitute())->toBeFalse()
        ->and(slipRow(['item_number' => 'FOOT-2'])->isSubstitute())->toBeTrue()
        ->and(slipRow(['component_id' => null, 'planned_number' => null])->isSubstitute())->toBeFalse();
});

it('offers its units, the stock unit said as nothing, and shows the one that was typed', function () {
    expect(slipRow()->unitOptions())->toBe(['' => 'pc', 'box' => 'box', 'kg' => 'kg'])
        ->and(slipRow()->unitSays())->toBe('pc')
        ->and(slipRow(['unit' => 'box'])->unitSays())->toBe('box')
        ->and((string) slipRow(['unit' => 'box', 'typed' => '1.5'])->amount())->toBe('18')
        ->and((string) slipRow(['unit' => 'kg', 'typed' => '1'])->amount())->toBe('33.333333');
});

it('names each place once, and lots that are lots', function () {
    $row = slipRow(splits: [['A', '2'], ['B', '3'], ['A', '4'], ['', '1']]);
    expect($row->places())->toBe('Rack A, Rack B')
        ->and($row->lots()->map(fn (SlipSplitRow $one): string => $one->code)->values()->all())
        ->toBe(['A', 'B', 'A']);
});
