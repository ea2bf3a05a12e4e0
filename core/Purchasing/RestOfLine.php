<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** What becomes of what did not come with a delivery: the three answers of W7, or nothing is said. */
enum RestOfLine: string
{
    case AsSaid = '';
    case OnDay = 'day';
    case Never = 'never';
    case Unknown = 'unknown';

    public function label(): string
    {
        return match ($this) {
            self::AsSaid => 'as it was said',
            self::OnDay => 'comes on',
            self::Never => 'comes no more',
            self::Unknown => 'nobody knows',
        };
    }
}
