<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

/** How a claim on a supplier stands. */
enum ClaimState: string
{
    case Asked = 'asked'; // nobody has said yet whose fault it was
    case Open = 'open';
    case Ours = 'ours'; // it was our fault after all
    case Granted = 'granted';
    case Closed = 'closed'; // without a credit
    case TakenBack = 'taken_back'; // with the booking it came of

    public function label(): string
    {
        return match ($this) {
            self::Asked => 'whose fault is asked',
            self::TakenBack => 'taken back',
            default => $this->value,
        };
    }

    public function isOpen(): bool
    {
        return $this === self::Asked || $this === self::Open;
    }
}
