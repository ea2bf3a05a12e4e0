<?php

use KeepPace\Core\Outside\ClaimAnswer;
use KeepPace\Core\Outside\ClaimState;

/*
 * What can be said to a claim, and how it stands then (trade.md W5): whose fault it was is asked first; a claim that is
 * theirs is credited or closed; that it was ours can be found out as long as it is open.
 */

it('lets be said what fits, and nothing else', function (ClaimState $state, array $fit): void {
    $can = array_filter(ClaimAnswer::cases(), fn (ClaimAnswer $answer): bool => $answer->fits($state));
    expect(array_values($can))->toBe($fit);
})->with([
    'asked' => [ClaimState::Asked, [ClaimAnswer::Theirs, ClaimAnswer::Ours]],
    'open' => [ClaimState::Open, [ClaimAnswer::Ours, ClaimAnswer::Granted, ClaimAnswer::Closed]],
    'ours' => [ClaimState::Ours, []],
    'granted' => [ClaimState::Granted, []],
    'closed' => [ClaimState::Closed, []],
    'taken back' => [ClaimState::TakenBack, []],
]);

it('stands then as it was said', function (): void {
    $states = array_map(fn (ClaimAnswer $answer): ClaimState => $answer->state(), ClaimAnswer::cases());
    expect($states)->toBe([ClaimState::Open, ClaimState::Ours, ClaimState::Granted, ClaimState::Closed]);
});

it('says each in words of its own', function (): void {
    $labels = [
        ...array_map(fn (ClaimAnswer $answer): string => $answer->label(), ClaimAnswer::cases()),
        ...array_map(fn (ClaimState $state): string => $state->label(), ClaimState::cases()),
    ];
    expect(array_unique($labels))->toHaveCount(count($labels))->not->toContain('');
});
