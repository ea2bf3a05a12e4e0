<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** How far a supplier's bill is. */
enum BillState: string
{
    /** It came, and nobody has said whether it is right. */
    case Open = 'open';

    /** It is booked: what it bills is no longer owed. */
    case Accepted = 'accepted';

    /** It went back to the supplier; another can come under its number. */
    case Refused = 'refused';

    public function label(): string
    {
        return match ($this) {
            self::Open => 'to be looked at',
            self::Accepted => 'accepted',
            self::Refused => 'sent back',
        };
    }
}
