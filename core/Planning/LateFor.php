<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What makes an order late. */
enum LateFor: string
{
    /** Parts nobody has ordered: it would keep its date if they were here. */
    case Parts = 'parts';

    /** Time: of machines, people and suppliers, or of parts that are on their way. */
    case Time = 'capacity';

    public function label(): string
    {
        return match ($this) {
            self::Parts => 'parts not ordered',
            self::Time => 'time',
        };
    }
}
