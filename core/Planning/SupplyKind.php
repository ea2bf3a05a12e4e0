<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

/** Where it is to come from: what lies in stores, what an order gives, what was bought. */
enum SupplyKind: string
{
    case Stock = 'stock';
    case Output = 'output';
    case Purchase = 'purchase';
}
