<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** What becomes of what came beyond the tolerance of an order. */
enum OverAnswer: string
{
    case Pay = 'pay';
    case Unpaid = 'unpaid';
    case GiveBack = 'back';

    public function label(): string
    {
        return match ($this) {
            self::Pay => 'take and pay',
            self::Unpaid => 'take unpaid',
            self::GiveBack => 'give back',
        };
    }
}
