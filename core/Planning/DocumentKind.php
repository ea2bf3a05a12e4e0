<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** What brings something: an order of our own or a line of a purchase. */
enum DocumentKind: string
{
    case Order = 'order';
    case Purchase = 'purchase';
}
