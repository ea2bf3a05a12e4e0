<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What the day on which something is expected rests on. */
enum Expected: string
{
    /** Somebody gave the day, or an order's place in the plan says it. */
    case Given = 'given';

    /** The day given has passed: the shop's assumption, until somebody gives another. */
    case Overdue = 'overdue';

    /** Nothing is ordered: the day it could be here if it were ordered or made today. */
    case IfOrdered = 'if ordered';

    /** Likewise, by the shop's assumption, since the item has no lead time of its own. */
    case NoLeadTime = 'no lead time';

    public function isAssumed(): bool
    {
        return $this !== self::Given;
    }
}
