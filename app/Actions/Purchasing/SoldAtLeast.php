<?php

namespace App\Actions\Purchasing;

use App\Models\Item;
use App\Models\SupplierItem;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;

/** A supplier does not sell fewer of an item than he says. */
final class SoldAtLeast
{
    /**
     * @param  SupplierItem|null  $terms  null = nothing is agreed
     * @param  BigDecimal  $quantity  stock units
     *
     * @throws PurchaseRefused
     */
    public static function assert(Item $item, ?SupplierItem $terms, BigDecimal $quantity): void
    {
        if ($terms !== null && $quantity->isLessThan($terms->minimum_quantity)) {
            throw PurchaseRefused::tooFew(
                $terms->supplier->name,
                Amount::plain($terms->minimum_quantity)." {$item->unit->code} of {$item->number}",
                Amount::plain((string) $quantity),
            );
        }
    }
}
