<?php

use App\Queries\Orders\OrderPart;
use App\Queries\Orders\OrderStepLine;
use App\Reading\Row;

/* Parts and steps on the page of an order: which forms are offered for them, and what is said of them. */

/** @param  array<string, scalar|null>  $columns */
function orderPart(array $columns = []): OrderPart
{
    $row = [
        'id' => 5, 'item_id' => 9, 'item_name' => 'Foot', 'item_number' => 'FOOT-1', 'unit' => 'pc',
        'step_number' => 20,
        'baseline_quantity' => '16', 'planned_quantity' => '16', 'used_quantity' => '0', 'replaced_quantity' => '0',
        'along_quantity' => '0', 'planned_value' => 800, 'used_value' => 0, 'from_stock' => null, 'missing' => null,
        'reserved' => null, 'on_hand' => '0', 'coming' => null, 'stands_for' => null, 'lots' => null,
        'issue_by' => 'hand', 'supplied_by' => 'us', 'kind' => 'bought', 'hand_ratio_p' => null, ...$columns,
    ];

    return Row::each((string) json_encode([$row]), OrderPart::from(...))[0];
}

it('offers to buy, to make or to take the parts of what is missing, by what it is', function (
    array $columns,
    bool $buy,
    bool $make,
    bool $parts,
) {
    $part = orderPart($columns);
    expect([$part->canBeBought(), $part->canBeMade(), $part->hasParts()])->toBe([$buy, $make, $parts]);
})->with([
    'bought, missing' => [['missing' => '4'], true, false, false],
    'bought, there' => [[], false, false, false],
    'made, missing' => [['kind' => 'made', 'missing' => '4'], false, true, true],
    // though it is there its parts can go in as long as some of it is still taken
    'made, there' => [['kind' => 'made'], false, false, true],
    'made, all used' => [['kind' => 'made', 'used_quantity' => '16'], false, false, false],
    'assembled, missing' => [['kind' => 'assembled', 'missing' => '1'], false, true, true],
    'the customer brings it' => [['missing' => '4', 'supplied_by' => 'customer'], false, false, false],
    'the customer brings what we make' => [
        ['kind' => 'made', 'missing' => '4', 'supplied_by' => 'customer'], false, false, false,
    ],
]);

it('offers parts for what is missing, else for all that is still taken', function () {
    expect((string) orderPart(['missing' => '4', 'used_quantity' => '2'])->withParts())->toBe('4')
        ->and((string) orderPart(['used_quantity' => '10'])->withParts())->toBe('6')
        ->and((string) orderPart(['used_quantity' => '20'])->withParts())->toBe('0');
});

it('says what the master has, and what becomes of what a person planned', function (?string $ratio, string $says) {
    $part = orderPart(['planned_quantity' => '18', 'hand_ratio_p' => $ratio]);
    expect($part->masterSays())->toBe("the master says 16{$says}")
        ->and($part->isChanged())->toBeTrue();
})->with([
    [null, ''],
    ['9', "; planned by hand, it goes with the order's quantity"],
    ['0', "; planned by hand, it stays when the order's quantity changes"],
]);

it('knows what nobody planned, what is overused, and what was used for nothing', function () {
    $none = ['baseline_quantity' => '0', 'planned_quantity' => '0'];
    expect(orderPart($none)->isUnplanned())->toBeTrue()
        ->and(orderPart([...$none, 'stands_for' => 'FOOT-2'])->isUnplanned())->toBeFalse()
        ->and(orderPart(['used_quantity' => '16.000001'])->isOverused())->toBeTrue()
        ->and(orderPart(['used_quantity' => '16'])->isOverused())->toBeFalse()
        // all of it came back, but at another value
        ->and(orderPart(['used_value' => -3])->isUsed())->toBeTrue()
        ->and(orderPart()->isUsed())->toBeFalse()
        ->and(orderPart(['planned_quantity' => '16.000'])->isChanged())->toBeFalse();
});

/** @param  array<string, scalar|null>  $columns */
function orderStepLine(array $columns = []): OrderStepLine
{
    $row = [
        'id' => 7, 'number' => 20, 'name' => 'Form', 'work_centre_id' => 4, 'work_centre_name' => 'Forming',
        'supplier' => null, 'supplier_id' => null, 'service_item_id' => null, 'service' => null,
        'lead_time_days' => 0, 'transport_days' => 0, 'planned_minutes' => 90, 'baseline_minutes' => 90,
        'booked_minutes' => 0, 'taken_in' => '8', 'good' => '3', 'scrap' => '1', 'passed_on' => '2',
        'setup_minutes' => '15', 'run_rate' => '7.5', 'run_basis' => 'min_per_unit', 'batch' => '1',
        'started_at' => null, 'start_at' => null, 'end_at' => null, 'overhead_percent' => null,
        'overhead_hour' => null, 'overhead_piece' => null, 'pieces' => '10', 'shared_setup' => null, ...$columns,
    ];

    return Row::each((string) json_encode([$row]), fn (Row $kept): OrderStepLine => OrderStepLine::from($kept, []))[0];
}

it('has pieces to do here, and others that are to come of it still', function () {
    $step = orderStepLine();
    expect([$step->toDo()->toInt(), $step->toCome()->toInt(), $step->isUntouched()])->toBe([4, 6, false])
        ->and(orderStepLine(['taken_in' => '0', 'good' => '0', 'scrap' => '0'])->isUntouched())->toBeTrue();
});

it('runs where somebody began it here; a supplier’s step is away, and does not run', function () {
    $begun = ['started_at' => '2026-11-24 08:00:00'];
    $away = ['supplier' => 'Emberfield Heat Treatment', 'lead_time_days' => 5, 'transport_days' => 2];
    expect(orderStepLine($begun)->isRunning())->toBeTrue()
        ->and(orderStepLine([...$begun, ...$away])->isRunning())->toBeFalse()
        ->and(orderStepLine($away)->isOutside())->toBeTrue()
        ->and(orderStepLine($away)->daysAway)->toBe(7);
});

it('says the master’s time where the order wants another', function () {
    expect(orderStepLine()->masterSays())->toBe('')
        ->and(orderStepLine(['planned_minutes' => 60])->masterSays())->toBe('the master says 90');
});

it('shows overheads from the release on', function () {
    expect(orderStepLine()->overheads())->toBe([]);
    $overheads = orderStepLine(['overhead_percent' => '40', 'overhead_hour' => '6.5'])->overheads();
    expect(array_map(fn (array $one): string => "{$one[0]}: {$one[1]}", $overheads))->toBe([
        'overhead_percent' => 'Overhead, % of labour: 40',
        'overhead_hour' => 'and € an hour it runs: 6.5',
        'overhead_piece' => 'and € a piece: 0',
    ]);
});
