<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** How a component gets to its order: by a person, or by itself when the step that takes it is counted. */
enum IssueBy: string
{
    case Hand = 'hand';
    case Backflush = 'backflush';
}
