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

it('reads a column of all rows, by another where that is asked for, and passes by what is empty', function () {
    $rows = fn (): Builder => DB::query()->fromSub(
        "SELECT 4 AS id, 7 AS n, 'Gear' AS name UNION ALL SELECT 5, NULL, NULL UNION ALL SELECT 9, 0, 'Rod'",
        'x',
    )->orderBy('id');
    expect(Row::ints($rows(), 'n'))->toBe([7, 0])
        ->and(Row::texts($rows(), 'name'))->toBe(['Gear', 'Rod'])
        ->and(Row::intsBy($rows(), 'n', 'id'))->toBe([4 => 7, 9 => 0])
        ->and(Row::textsBy($rows(), 'name', 'id'))->toBe([4 => 'Gear', 9 => 'Rod'])
        ->and((string) Row::sum($rows(), 'n'))->toBe('7')
        ->and((string) Row::sum($rows()->where('id', 0), 'n'))->toBe('0')
        ->and(Row::firstText($rows(), 'name'))->toBe('Gear')
        ->and(Row::firstText($rows()->where('id', 5), 'name'))->toBeNull()
        ->and(Row::firstText($rows()->where('id', 0), 'name'))->toBeNull();
});

it('reads sums and counts, which the database gives as text, as whole numbers', function () {
    $sums = DB::query()->fromSub("SELECT 1 AS id, '2500' AS cents UNION ALL SELECT 1, '-300'", 'x')
        ->groupBy('id')
        ->selectRaw('id, SUM(cents) AS cents');
    expect(Row::intsBy($sums, 'cents', 'id'))->toBe([1 => 2200]);
});

it('reads what is kept as JSON, where a part of it may be left out', function () {
    $json = '[{"kind":"rank","order":218,"spans":[["a","b"]],"steps":{"17":[4,[5]]},"deed":{"to":"orders"}},{}]';
    [$whole, $empty] = Row::each($json, fn (Row $row): Row => $row);
    expect([$whole->has('order'), $whole->has('centre'), $empty->has('order')])->toBe([true, false, false])
        ->and([$whole->intOr('order', 0), $whole->intOr('centre', 3)])->toBe([218, 3])
        ->and([$whole->textOr('kind', ''), $empty->textOr('kind', 'none')])->toBe(['rank', 'none'])
        ->and($whole->list('spans'))->toBe([['a', 'b']])
        ->and($whole->list('steps'))->toBe([17 => [4, [5]]])
        ->and($empty->list('spans'))->toBe([])
        ->and($whole->list('order'))->toBe([])
        ->and($whole->part('deed')?->text('to'))->toBe('orders')
        ->and($empty->part('deed'))->toBeNull();
});

it('takes no list for a value, nor what is no list for one', function () {
    [$kept] = Row::each('[{"order":[1,2]}]', fn (Row $row): Row => $row);
    expect(fn () => $kept->int('order'))->toThrow(LogicException::class, 'The column order is no value.');
    expect(Row::each('7', fn (Row $row): Row => $row))->toBe([])
        ->and(Row::each('[1, "x", null]', fn (Row $row): Row => $row))->toBe([]);
    expect(fn () => Row::each('[', fn (Row $row): Row => $row))->toThrow(JsonException::class);
});
