<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** Whether what an order needs is there, coming, or not even ordered. */
enum ReadinessState: string
{
    case Ready = 'ready';
    case Waits = 'waits';
    case Stuck = 'stuck';
}
