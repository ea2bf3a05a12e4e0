<?php

declare(strict_types=1);

namespace KeepPace\Core\Purchasing;

/** What is ordered of a supplier: goods he brings, or work on pieces of ours. */
enum PurchaseKind: string
{
    case Goods = 'goods';
    case Service = 'service';
}
