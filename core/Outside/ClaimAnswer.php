<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

/** What is said to a claim. */
enum ClaimAnswer: string
{
    case Theirs = 'theirs';
    case Ours = 'ours';
    case Granted = 'granted';
    case Closed = 'closed';

    public function label(): string
    {
        return match ($this) {
            self::Theirs => 'It is theirs',
            self::Ours => 'It was ours',
            self::Granted => 'They credit',
            self::Closed => 'Close it',
        };
    }

    /** How the claim stands then. */
    public function state(): ClaimState
    {
        return match ($this) {
            self::Theirs => ClaimState::Open,
            self::Ours => ClaimState::Ours,
            self::Granted => ClaimState::Granted,
            self::Closed => ClaimState::Closed,
        };
    }

    /** It can be said of a claim that stands so. */
    public function fits(ClaimState $state): bool
    {
        return match ($this) {
            self::Theirs => $state === ClaimState::Asked,
            self::Ours => $state->isOpen(),
            self::Granted, self::Closed => $state === ClaimState::Open,
        };
    }
}
