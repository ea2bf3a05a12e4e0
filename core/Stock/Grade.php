<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** What a part is found to be that was taken out of something. */
enum Grade: string
{
    case Good = 'good';
    case Rework = 'rework';
    case Scrap = 'scrap';

    public function label(): string
    {
        return match ($this) {
            self::Good => 'good: free',
            self::Rework => 'to rework: blocked',
            self::Scrap => 'scrap',
        };
    }

    /** How it lies in stock; null = it does not. */
    public function condition(): ?Condition
    {
        return match ($this) {
            self::Good => Condition::Free,
            self::Rework => Condition::Blocked,
            self::Scrap => null,
        };
    }
}
