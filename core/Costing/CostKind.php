<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

/** What goes into the cost of an order, and what leaves it. */
enum CostKind: string
{
    case Material = 'material';
    case Labour = 'labour';
    case Machine = 'machine';
    case Overhead = 'overhead';
    case Outside = 'outside';
    case Bought = 'bought'; // for this order alone, never in stock
    case Receipt = 'receipt'; // goods taken into stock
    case Variance = 'variance'; // what is left at closing
}
