<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

/** Whose fault it is that pieces were spoiled or lost at a supplier, and so who pays (trade.md W5). */
enum Whose: string
{
    /** The work is not paid, and what the pieces had cost is claimed. */
    case Theirs = 'theirs';

    /** A fault from before: the work was done and is paid. */
    case Ours = 'ours';

    /** Not paid until somebody says. */
    case Open = 'open';

    public function label(): string
    {
        return match ($this) {
            self::Theirs => 'theirs: not paid, claimed',
            self::Ours => 'ours: the work is paid',
            self::Open => 'open: ask the buyer',
        };
    }

    public function isPaid(): bool
    {
        return $this === self::Ours;
    }
}
