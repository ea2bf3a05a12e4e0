<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Walk;

use KeepPace\Core\Scheduling\Net\Way;

/** What a machine that takes several operations at once works on at one time. Minutes from now; as Spot not changed. */
final class Load
{
    /**
     * @param  int  $by  the operation that began it
     * @param  int  $setup  minutes of it, changeover included
     * @param  Way  $way  in which that is done
     */
    public function __construct(public int $by, public int $runStart, public int $setup, public Way $way)
    {
    }
}
