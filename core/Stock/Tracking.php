<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** Whether the pieces of an item are told apart: not at all, by what came in together, or each. */
enum Tracking: string
{
    case None = 'none';
    case Lot = 'lot';
    case Serial = 'serial';

    /** What is told apart, in words. */
    public function many(): string
    {
        return $this === self::Serial ? 'serials' : 'lots';
    }

    public function isTracked(): bool
    {
        return $this !== self::None;
    }
}
