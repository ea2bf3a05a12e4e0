<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** By which rule the quantity of an order follows from what is needed. */
enum LotSizing: string
{
    case AsNeeded = 'as_needed';
    case Fixed = 'fixed';
    case Multiple = 'multiple';

    public function label(): string
    {
        return match ($this) {
            self::AsNeeded => 'as needed',
            self::Fixed => 'whole lots',
            self::Multiple => 'at least, in multiples',
        };
    }
}
