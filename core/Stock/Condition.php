<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** Whether stock may be used. */
enum Condition: string
{
    case Free = 'free';
    case InInspection = 'inspection';
    case Blocked = 'blocked';
}
