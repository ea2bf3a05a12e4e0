<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What an item is, and so how it comes into the shop. */
enum ItemKind: string
{
    case Bought = 'bought';
    case Made = 'made';
    case Assembled = 'assembled';

    /** Only in structures: what it is made of takes its place. */
    case Phantom = 'phantom';

    /** Work a supplier does. */
    case Outside = 'outside';
    case Time = 'time';

    /** Used up without being counted. */
    case Consumable = 'consumable';

    /** Counted or costed, but never taken from stock for an order. */
    public const NEVER_ISSUED = [self::Phantom, self::Outside, self::Time, self::Consumable];

    public function label(): string
    {
        return match ($this) {
            self::Outside => 'outside service',
            self::Time => 'time',
            default => $this->value,
        };
    }

    /** Whether it can be made of something. */
    public function hasStructure(): bool
    {
        return $this->isMadeHere() || $this === self::Phantom;
    }

    /** It lies on shelves when it has come. */
    public function isCounted(): bool
    {
        return $this !== self::Consumable;
    }

    /** It can lie in stock, and come and go there. */
    public function hasStock(): bool
    {
        return ! in_array($this, self::NEVER_ISSUED, true);
    }

    public function isMadeHere(): bool
    {
        return $this === self::Made || $this === self::Assembled;
    }
}
