<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

/** What becomes of a part that is left at a supplier when all that was to be made of it has come (trade.md W4). */
enum PartLeft: string
{
    case Stays = 'stays';
    case Back = 'back';
    case Used = 'used';
    case Lost = 'lost';

    public function label(): string
    {
        return match ($this) {
            self::Stays => 'Stays for the next',
            self::Back => 'Comes back',
            self::Used => 'Was used',
            self::Lost => 'Is lost',
        };
    }

    /** In a sentence. */
    public function says(): string
    {
        return match ($this) {
            self::Stays => 'stays there for the next',
            self::Back => 'comes back',
            self::Used => 'was used for what came',
            self::Lost => 'is lost',
        };
    }
}
