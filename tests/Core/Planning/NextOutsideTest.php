<?php

use KeepPace\Core\Planning\NextOutside;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Routing\WorkOrdered;

/* Common practice: who waits for whom at a step a supplier does, and what is done first. */
it('says what is to be done next of a step outside', function (
    NextOutside $next,
    bool $isDone,
    bool $isHere,
    bool $isThere,
    bool $isLate,
    ?PurchaseState $ordered,
    WorkOrdered $when,
) {
    expect(NextOutside::of($isDone, $isHere, $isThere, $isLate, $ordered, $when))->toBe($next);
})->with([
    'all of it came' => [NextOutside::Done, true, false, false, false, PurchaseState::Done, WorkOrdered::ByHand],
    'not back by its day' => [NextOutside::Chase, false, true, true, true, PurchaseState::Sent, WorkOrdered::ByHand],
    'nobody ordered it' => [NextOutside::Order, false, false, false, false, null, WorkOrdered::ByHand],
    'its turn comes' => [NextOutside::OrdersItself, false, false, false, false, null, WorkOrdered::AfterBefore],
    'its turn came, and it did not' => [NextOutside::Order, false, true, false, false, null, WorkOrdered::WithPieces],
    'it gathers' => [NextOutside::Send, false, true, false, false, PurchaseState::Draft, WorkOrdered::ByHand],
    'pieces stand here' => [NextOutside::SendOut, false, true, true, false, PurchaseState::Sent, WorkOrdered::ByHand],
    'pieces are there' => [NextOutside::HaveBack, false, false, true, false, PurchaseState::Sent, WorkOrdered::ByHand],
    'he has not said' => [NextOutside::Confirm, false, false, false, false, PurchaseState::Sent, WorkOrdered::ByHand],
    'he has' => [NextOutside::Wait, false, false, false, false, PurchaseState::Confirmed, WorkOrdered::ByHand],
]);
