<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What the quantity of a structure line is counted by. */
enum LineBasis: string
{
    case PerUnit = 'unit';
    case PerOrder = 'order';
}
