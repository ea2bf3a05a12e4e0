<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Search;

/** By which rule the next operation is taken where several wait for a machine. */
enum Rule: string
{
    case Rank = 'rank';
    /** Earliest due date (Jackson 1955). */
    case DueDate = 'earliest due date';
    case Slack = 'least slack';
    /** Time to the due date by work left (common practice). */
    case CriticalRatio = 'critical ratio';
    /** Shortest processing time. */
    case Shortest = 'shortest processing time';
    /** Weighted tardiness cost: Vepsalainen and Morton, Management Science 33 (1987). */
    case TardinessCost = 'weighted tardiness cost';
}
