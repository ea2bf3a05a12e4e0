<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** Whether stock may be used. */
enum Condition: string
{
    case Free = 'free';
    case InInspection = 'inspection';
    case Blocked = 'blocked';

    public function label(): string
    {
        return match ($this) {
            self::Free => 'free',
            self::InInspection => 'in inspection',
            self::Blocked => 'blocked',
        };
    }
}
