<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

/** How the value of an item's stock is kept: one rule per item (IAS 2.21-27). */
enum CostingRule: string
{
    /** IAS 2.27: the weighted average of all that is there, new after each receipt. */
    case Average = 'average';

    /** IAS 2.27: what came in first goes out first. */
    case FirstInFirstOut = 'fifo';

    /** IAS 2.21: a set cost; what a receipt costs more or less is variance at once. */
    case Standard = 'standard';

    /** IAS 2.23: what was made or bought for one purpose keeps its own cost, lot by lot, serial by serial. */
    case Own = 'own';

    public function label(): string
    {
        return match ($this) {
            self::Average => 'moving average',
            self::FirstInFirstOut => 'first in, first out',
            self::Standard => 'standard cost',
            self::Own => 'own cost of each lot',
        };
    }
}
