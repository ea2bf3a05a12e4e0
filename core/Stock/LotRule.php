<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** Which lot of an item goes first. */
enum LotRule: string
{
    case Oldest = 'oldest';
    case Expiry = 'expiry';

    /** A person names it; nothing is taken by itself. */
    case Ask = 'ask';

    public function label(): string
    {
        return match ($this) {
            self::Oldest => 'oldest first',
            self::Expiry => 'first to expire first',
            self::Ask => 'named by a person',
        };
    }
}
