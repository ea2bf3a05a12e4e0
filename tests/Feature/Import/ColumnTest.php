<?php

use App\Actions\Import\Column;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\DayException;
use KeepPace\Core\Calendar\Shift;
use KeepPace\Core\Calendar\WorkingCalendar;

/**
 * @return array{ok: bool, value: ?string} on Tuesday 2026-11-24, in a plant that works Monday to Friday but for the
 *     26th
 */
function read(Column $column, string $typed): array
{
    $calendar = new WorkingCalendar(
        'Europe/Dublin',
        array_map(fn (int $day): Shift => new Shift($day, '07:00', '15:30'), range(1, 5)),
        [DayException::closed('2026-11-26')],
    );

    return $column->read($typed, CarbonImmutable::parse('2026-11-24', 'Europe/Dublin'), $calendar);
}

it('reads what is right', function (Column $column, string $typed, ?string $value) {
    expect(read($column, $typed))->toBe(['ok' => true, 'value' => $value]);
})->with([
    'text, trimmed' => [Column::text('name', 10), '  Zoë ', 'Zoë'],
    'text of just the length' => [Column::text('name', 3), 'äöü', 'äöü'],
    'a default' => [Column::text('kind', 5, 'work'), ' ', 'work'],
    'a whole number' => [Column::whole('machines', '1', '1'), '2', '2'],
    'a whole number with a point' => [Column::whole('machines', '1'), '2.0', '2'],
    'a decimal' => [Column::decimal('cost'), '0.125', '0.125'],
    'zeros at the end say nothing' => [Column::decimal('cost', max: 2), '1.5000', '1.5'],
    'a large one' => [Column::decimal('cost'), '999999999', '999999999'],
    'a choice' => [Column::choice('kind', ['work', 'break']), 'break', 'break'],
    'a time' => [Column::time('from'), '23:59', '23:59'],
    'a date' => [Column::date('on'), '2028-02-29', '2028-02-29'],
    'no date' => [Column::date('on', ''), '', null],
    'today' => [Column::date('on'), 'today', '2026-11-24'],
    'days on' => [Column::date('on'), 'today+5', '2026-11-29'],
    'days back' => [Column::date('on'), 'today-24', '2026-10-31'],
    'working days on, over a closed one' => [Column::date('on'), 'today+2wd', '2026-11-27'],
    'working days back, over a week-end' => [Column::date('on'), 'today-2wd', '2026-11-20'],
]);

it('says what would be right', function (Column $column, string $typed, string $says) {
    $read = read($column, $typed);
    expect($read['ok'])->toBeFalse()->and($read['value'])->toContain($says);
})->with([
    'empty' => [Column::text('name', 10), '', 'must be filled'],
    'too long' => [Column::text('name', 3), 'äöüß', 'more than 3 characters'],
    'words' => [Column::decimal('cost'), 'ten', 'must be a number such as 2.5'],
    'an exponent' => [Column::decimal('cost'), '1e3', 'must be a number'],
    'a comma' => [Column::decimal('cost'), '1,5', 'with a point'],
    'a thousands sign' => [Column::decimal('cost'), '1 000', 'no thousands sign'],
    'too large' => [Column::decimal('cost'), '123456789012', 'must be a number'],
    'too fine' => [Column::decimal('value', max: 2), '1.005', 'more than 2 decimals'],
    'half a machine' => [Column::whole('machines'), '1.5', 'must be a whole number'],
    'below' => [Column::decimal('quantity', null, '0.000001'), '0', 'must be 0.000001 or more'],
    'negative' => [Column::decimal('cost'), '-1', 'must be 0 or more'],
    'no choice' => [Column::choice('kind', ['work', 'break']), 'Work', 'must be one of: work, break'],
    'a time past midnight' => [Column::time('from'), '24:00', 'must be a time such as 06:30'],
    'no such day' => [Column::date('on'), '2027-02-29', 'must be a date'],
    'another order of a date' => [Column::date('on'), '24.11.2026', 'must be a date'],
    'nonsense from today' => [Column::date('on'), 'today+x', 'or today+5'],
]);
