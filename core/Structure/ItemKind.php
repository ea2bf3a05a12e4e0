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

    public function isMadeHere(): bool
    {
        return $this === self::Made || $this === self::Assembled;
    }
}
