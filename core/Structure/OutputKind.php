<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

/** What comes out of an order: what it is made for, made beside it on purpose, left over, or taken out of a part. */
enum OutputKind: string
{
    case Product = 'product';
    case CoProduct = 'co_product';
    case ByProduct = 'by_product';
    case Recovered = 'recovered';
}
