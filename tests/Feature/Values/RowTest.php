<?php

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/* A row of a query is read by name and type: what is not there is an error at once, and no empty cell of a page. */

/** @param  array<string, scalar|null>  $columns */
function rowOf(array $columns): Row
{
    $query = DB::query();
    foreach ($columns as $name => $value) {
        $query->selectRaw("? AS `{$name}`", [$value]);
    }

    return Row::first($query, fn (Row $row): Row => $row) ?? throw new LogicException('A row is there.');
}

it('reads a column by its type', function () {
    $row = rowOf([
        'id' => 7,
        'name' => 'Gear',
        'open' => '2.500000',
        'is_held' => 0,
        'state' => 'running',
        'at' => '2026-11-27 10:05:00',
        'none' => null,
    ]);
    expect($row->int('id'))->toBe(7)
        ->and($row->text('name'))->toBe('Gear')
        ->and((string) $row->decimal('open'))->toBe('2.500000')
        ->and($row->flag('is_held'))->toBeFalse()
        ->and($row->enum('state', OrderState::class))->toBe(OrderState::Running)
        ->and($row->moment('at')->toIso8601String())->toBe('2026-11-27T10:05:00+00:00')
        ->and($row->intOrNull('none'))->toBeNull()
        ->and($row->textOrNull('none'))->toBeNull()
        ->and($row->decimalOrNull('none'))->toBeNull()
        ->and((string) $row->decimalOrZero('none'))->toBe('0')
        ->and($row->momentOrNull('none'))->toBeNull()
        ->and($row->enumOrNull('none', OrderState::class))->toBeNull();
});

it('breaks on a column that was not asked for, and on one that is empty where it must not be', function (string $read) {
    $row = rowOf(['id' => 7, 'none' => null]);
    expect(fn () => $row->{$read}('missing'))->toThrow(LogicException::class, 'The query has no column missing.');
    expect(fn () => $row->{$read}('none'))->toThrow(LogicException::class, 'The column none is empty.');
})->with(['int', 'text', 'decimal', 'flag', 'moment']);

it('reads all rows of a query, or the first, or none', function () {
    $numbers = fn (int $most): Builder => DB::query()->fromSub(
        'SELECT 1 AS n UNION ALL SELECT 2 UNION ALL SELECT 3',
        'x',
    )->where('n', '<=', $most)->orderBy('n')->select('n');
    expect(Row::all($numbers(3), fn (Row $row): object => (object) ['n' => $row->int('n')])->pluck('n')->all())
        ->toBe([1, 2, 3])
        ->and(Row::first($numbers(3), fn (Row $row): Row => $row)?->int('n'))->toBe(1)
        ->and(Row::first($numbers(0), fn (Row $row): Row => $row))->toBeNull();
});
