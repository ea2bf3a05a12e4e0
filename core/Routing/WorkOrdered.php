<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

/** When the work of a step done outside is ordered. */
enum WorkOrdered: string
{
    case ByHand = 'hand';
    case AtRelease = 'release';

    /** When the first pieces reach the step. */
    case WithPieces = 'pieces';

    /** When the supplier of the step before has confirmed his work: one of a chain is ordered after the other. */
    case AfterBefore = 'confirmed';
}
