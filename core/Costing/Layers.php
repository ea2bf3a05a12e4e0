<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Stock\StockRefused;

/** The receipts that are not used up yet, oldest first: first in, first out (IAS 2.27). */
final class Layers
{
    /**
     * What leaves takes from the oldest layers; what empties a layer takes all its value.
     *
     * @param  list<Layer>  $layers  oldest first
     * @return list<LayerUse>
     *
     * @throws StockRefused when the layers hold less
     */
    public static function take(array $layers, BigDecimal $quantity, string $what): array
    {
        $left = $quantity;
        $uses = [];
        foreach ($layers as $layer) {
            $take = $left->isGreaterThan($layer->quantity) ? $layer->quantity : $left;
            if ($take->isPositive()) {
                $uses[] = new LayerUse($layer->id, $take, Cents::part($layer->value, $take, $layer->quantity));
                $left = $left->minus($take);
            }
        }
        if ($left->isPositive()) {
            throw StockRefused::notEnough($what, $quantity, $quantity->minus($left));
        }

        return $uses;
    }
}
