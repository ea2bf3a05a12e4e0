<?php

declare(strict_types=1);

namespace KeepPace\Core\Stock;

/** What a place is: one that holds stock, or one of the ends things come from and go to. */
enum PlaceKind: string
{
    case Store = 'store';
    case Supplier = 'supplier';
    case Outside = 'outside';
    case Order = 'order';
    case Customer = 'customer';
    case Scrap = 'scrap';
    case Variance = 'variance';
    case Used = 'used'; // in the shop, without being counted
    case Between = 'between';

    public function holdsStock(): bool
    {
        return $this === self::Store || $this === self::Supplier;
    }
}
