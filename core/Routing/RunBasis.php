<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

/** How the run time of a step is given. */
enum RunBasis: string
{
    /** minutes for one unit */
    case MinutesPerUnit = 'min_per_unit';
    /** units in an hour */
    case UnitsPerHour = 'units_per_hour';
    /** minutes for one batch of n, a part batch taking as long as a full one */
    case MinutesPerBatch = 'min_per_batch';
}
