<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** Who wants it: a line of a customer, a component of an order, a level an item is kept at. */
enum DemandKind: string
{
    case Line = 'line';
    case Component = 'component';
    case Shelf = 'shelf';
}
