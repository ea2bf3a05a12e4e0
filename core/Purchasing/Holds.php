<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** Whose figure holds where a supplier's differs from ours. */
enum Holds: string
{
    case Theirs = 'theirs';
    case Ours = 'ours';
}
