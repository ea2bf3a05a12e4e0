<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What becomes of what is made for a customer line that is no longer wanted. */
enum NoLongerFor: string
{
    case Shelf = 'shelf';
    case OtherLine = 'line';
    case Hold = 'hold';
    case Stop = 'stop';

    public function label(): string
    {
        return match ($this) {
            self::Shelf => 'goes on for the shelf',
            self::OtherLine => 'goes to another line',
            self::Hold => 'is held',
            self::Stop => 'is stopped',
        };
    }
}
