<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Why;

/** What an order's time goes into. */
enum Cause: string
{
    /** Setup, run, wait or move of its own steps, or of parts it needs. */
    case StepTime = 'step time';
    case ClosedTime = 'closed time';
    case MachineBusy = 'machine busy';
    case Crew = 'crew';
    case Material = 'material';
    case Supplier = 'supplier';
    /** It could begin, but its order is loaded as late as its date allows. */
    case HeldBack = 'held back';
    /** The machine stands free, but the plan has something else come first. */
    case Sequence = 'sequence';
}
