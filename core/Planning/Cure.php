<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** How an order that will finish short is made up for. */
enum Cure: string
{
    case Remake = 'remake';
    case FromStock = 'stock';
    case Accepted = 'accept';

    /** As the trail and the question's answer say it. */
    public function label(): string
    {
        return match ($this) {
            self::Remake => 'made again',
            self::FromStock => 'from stock',
            self::Accepted => 'accepted',
        };
    }
}
