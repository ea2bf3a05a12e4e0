<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What brings something: an order of our own, a line of a purchase, or its inspection once it has come. */
enum DocumentKind: string
{
    case Order = 'order';
    case Purchase = 'purchase';
    case Inspection = 'inspection';
}
