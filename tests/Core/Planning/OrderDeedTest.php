<?php

use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;

/*
 * What may be done with an order in each state. Common practice in make-to-order shops: planned orders are changed,
 * released ones are worked on, built ones are settled, settled ones are left alone.
 */

it('says for each state what may be done', function (OrderState $state, array $may, array $mayWhileHeld) {
    $allowed = fn (bool $isHeld): array => array_values(array_map(
        fn (OrderDeed $deed): string => $deed->name,
        array_filter(OrderDeed::cases(), fn (OrderDeed $deed): bool => $deed->whyNot('218', $state, $isHeld) === null),
    ));
    expect($allowed(false))->toEqualCanonicalizing($may)->and($allowed(true))->toEqualCanonicalizing($mayWhileHeld);
})->with([
    'proposed' => [OrderState::Proposed, ['BookAgain'], ['BookAgain']],
    'firm' => [
        OrderState::Firm,
        ['Change', 'CopyAnew', 'Split', 'Cancel', 'Rank', 'Reserve', 'BookAgain'],
        ['Change', 'CopyAnew', 'Split', 'Cancel', 'Rank', 'Reserve', 'BookAgain'],
    ],
    'released' => [
        OrderState::Released,
        ['Change', 'Split', 'Cancel', 'Rank', 'Reserve', 'SendOut', 'Start', 'Count', 'Issue', 'Receive',
            'ReceiveBeside', 'BookAgain'],
        ['Change', 'Split', 'Cancel', 'Rank', 'Reserve', 'BookAgain'],
    ],
    'running' => [
        OrderState::Running,
        ['Change', 'Split', 'Rank', 'Reserve', 'SendOut', 'Start', 'Count', 'Issue', 'Receive',
            'ReceiveBeside', 'BookAgain'],
        ['Change', 'Split', 'Rank', 'Reserve', 'BookAgain'],
    ],
    'built' => [OrderState::Built, ['Close', 'ReceiveBeside', 'BookAgain'], ['Close', 'BookAgain']],
    // what falls out beside the product can be found later: trade.md, W3
    'closed' => [OrderState::Closed, ['ReceiveBeside'], []],
    'cancelled' => [OrderState::Cancelled, ['BookAgain'], ['BookAgain']],
]);

it('says why not, and what to do where something can be done', function (
    OrderDeed $deed,
    OrderState $state,
    bool $isHeld,
    string $says,
) {
    expect($deed->whyNot('218', $state, $isHeld))->toBe($says)
        ->and(fn () => OrderRefused::unless($deed, '218', $state, $isHeld))->toThrow(OrderRefused::class, $says);
})->with([
    [OrderDeed::Cancel, OrderState::Running, false, 'Order 218 is running. Reverse what is booked on it first.'],
    [OrderDeed::Count, OrderState::Running, true, 'Order 218 is held. Nothing can be counted on it.'],
    [OrderDeed::Start, OrderState::Firm, false, 'Order 218 is firm. It cannot be started.'],
    [OrderDeed::Issue, OrderState::Firm, true, 'Order 218 is held. Components go to released orders only.'],
    [
        OrderDeed::Close,
        OrderState::Running,
        false,
        'Order 218 is running. Only a built order can be closed: receive or scrap the rest first.',
    ],
    [OrderDeed::Change, OrderState::Closed, false, 'Order 218 is closed and can no longer be changed.'],
    [OrderDeed::Reserve, OrderState::Closed, false, 'Order 218 is closed: nothing is kept for it.'],
    [OrderDeed::BookAgain, OrderState::Closed, false, 'Order 218 is closed. Reverse its closing first.'],
]);
