<?php

use App\Queries\Board\ComparedLoad;
use App\Queries\Orders\CostLine;
use App\Queries\Orders\OrderFilter;
use App\View\PromiseDate;
use App\View\ShownPromise;

/* What pages say of their rows, told by the rows. */

it('keeps in the address what a list is narrowed to, and nothing else', function () {
    expect((new OrderFilter)->inState('open'))->toBe([])
        ->and((new OrderFilter)->inState('closed'))->toBe(['state' => 'closed'])
        ->and((new OrderFilter(pace: 'late', text: 'gear', skip: 80))->inState('firm'))
        ->toBe(['state' => 'firm', 'pace' => 'late', 'text' => 'gear'])
        ->and((new OrderFilter(state: 'all', customer: 3))->after(160))
        ->toBe(['state' => 'all', 'customer' => 3, 'skip' => 160])
        ->and(OrderFilter::states()[0])->toBe('open')
        ->and(array_key_first(OrderFilter::readinesses()))->toBe('');
});

/** @param  array<string, int>  $late */
function promised(string $stock, string $made, ?int $nobody, ?int $slack, array $late = []): ShownPromise
{
    $date = fn (?int $minute): ?PromiseDate => $minute === null ? null : new PromiseDate($minute);

    return new ShownPromise(
        'Cable tray',
        'pc',
        $stock,
        $made,
        ['Gear blank' => 'to be used Tue if ordered today'],
        $date($nobody),
        $date($slack),
        '2026-11-26',
        $date($slack),
        false,
        $late,
    );
}

it('says what a promise is made of, and who pays for it', function () {
    expect(promised('4', '56', 100, 90)->title())->toBe('4 + 56 pc Cable tray')
        ->and(promised('0', '6', 100, null)->title())->toBe('6 pc Cable tray')
        ->and(promised('6', '0', null, null)->title())->toBe('6 pc Cable tray')
        ->and(promised('4', '56', 100, 90)->isSoonerWithSlack())->toBeTrue()
        ->and(promised('4', '56', 100, 100)->isSoonerWithSlack())->toBeFalse()
        ->and(promised('4', '0', null, null)->isSoonerWithSlack())->toBeFalse()
        ->and(promised('0', '6', 100, 90)->lateSays())->toBe('')
        ->and(promised('0', '6', 100, 90, ['218' => 120, '231' => 45])->lateSays())
        ->toBe('becomes late or later: 218 by 2 h, 231 by 45 min')
        ->and(promised('0', '6', 100, 90)->buySays())->toBe('Gear blank (to be used Tue if ordered today)')
        ->and(promised('0', '6', 100, null)->wantedSays())->toBeNull();
});

it('compares the load of two plans in percent of the open time, and leaves out days that are closed', function () {
    $load = ComparedLoad::of('Welding', [480, 0, 60, 0], [240, 0, 60], [960, 0, 0, 480]);
    expect($load->days)->toBe([['50', '25'], null, ['–', '–'], ['0', '0']]);
});

it('marks a cost as over its plan only where there was one', function (int $planned, int $actual, bool $isOver) {
    $line = new CostLine('labour', $planned, $actual);
    expect($line->isOver())->toBe($isOver)->and($line->difference())->toBe($actual - $planned);
})->with([[100, 101, true], [100, 100, false], [0, 50, false], [100, 40, false]]);
