<?php

namespace App\Shop;

/** What a lever of a what-if takes to be otherwise than the facts say. */
enum LeverKind: string
{
    case Overtime = 'overtime';

    case Machine = 'machine';

    case Split = 'split';

    case Rank = 'rank';

    case SendOut = 'send_out';

    case BringIn = 'bring_in';

    case Other = 'other';

    case Material = 'material';

    /** Whether going live can make it a fact; a second machine is bought, and material comes by a deed of its own. */
    public function canBeFact(): bool
    {
        return in_array($this, [self::Overtime, self::Split, self::Rank, self::Other], true);
    }
}
