<?php

use App\Books\RowDiff;

/* What counts as the same in a file and in a table: 1.50 and 1.5, '' and null; not 'a' and 'A'. */

it('compares numbers by value and all else as text', function (mixed $was, mixed $is, bool $isSame) {
    expect(RowDiff::isSame($was, $is))->toBe($isSame);
})->with([
    'decimals of a column' => ['1.500000', '1.5', true],
    'a number and its text' => [12, '12', true],
    'leading zeros are no other number' => ['007', '7', true],
    'another number' => ['1.500000', '1.51', false],
    'nothing and empty' => [null, '', true],
    'empty and zero' => ['', '0', false],
    'nothing and zero' => [null, 0, false],
    'text' => ['Meadow', 'Meadow', true],
    'capitals' => ['meadow', 'Meadow', false],
    'a blank at the end' => ['meadow', 'meadow ', false],
]);

it('names the columns that are not the same, in the order of the file', function () {
    $old = ['id' => 7, 'name' => 'Lid', 'cost' => '4.100000', 'note' => null];
    expect(RowDiff::of($old, ['name' => 'Lid', 'cost' => '4.2', 'note' => 'new']))->toBe(['cost', 'note'])
        ->and(RowDiff::differs($old, ['cost' => '4.10', 'note' => '']))->toBeFalse()
        ->and(RowDiff::of($old, ['colour' => 'red']))->toBe(['colour']);
});
