<?php

use KeepPace\Core\Planning\Combining;
use KeepPace\Core\Planning\OrderState;

/** @param  array<string, mixed>  $over */
function combining(array $over = []): Combining
{
    return new Combining(...[
        'label' => 'C-1 line 10',
        'item' => 7,
        'dueOn' => '2026-12-10',
        'customer' => 1,
        'takesTheirs' => false,
        ...$over,
    ]);
}

it('says all that forbids one order', function (array $over, string $says): void {
    // common practice; a customer's own material: trade.md, W19
    expect(implode(' ', Combining::against([combining(), combining($over)])))->toContain($says);
})->with([
    'another item' => [['item' => 8], 'of different items'],
    'one that runs' => [['state' => OrderState::Running, 'label' => 'order 512'], 'order 512 is running already'],
    'one somebody makes' => [['isCovered' => true], 'Nothing of C-1 line 10 is left to be made'],
    'changed by hand' => [['isChanged' => true], 'were changed by hand'],
    'of another customer\'s material' => [['takesTheirs' => true, 'customer' => 2], "customer's own material"],
]);

it('lets those go together that nothing forbids, and says what speaks against it', function (): void {
    $all = [combining(['madeBy' => '3-4']), combining(['dueOn' => '2026-12-30', 'customer' => 2, 'madeBy' => '5-4'])];

    expect(Combining::against($all))->toBe([])
        ->and(Combining::warnings($all))->toBe([
            'They are due 20 days apart: all is made for the first.',
            'They are made by different revisions: all is made by those in force today.',
        ])
        ->and(Combining::against([combining()]))->toBe(['Choose at least two to be made as one.'])
        ->and(Combining::against([combining(['takesTheirs' => true]), combining(['takesTheirs' => true])]))->toBe([]);
});
