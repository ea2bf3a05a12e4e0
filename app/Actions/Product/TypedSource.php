<?php

namespace App\Actions\Product;

use Brick\Math\BigDecimal;
use KeepPace\Core\Costing\PriceBreaks;

/** On what terms a supplier sells an item, as it was typed. */
final readonly class TypedSource
{
    /**
     * @param  string  $number  what the supplier calls it
     * @param  string  $minimum  stock units; 0 = any
     * @param  int  $leadTimeDays  0 = as the item says
     * @param  int|null  $overPercent  of what is ordered is taken beyond it; null = as the supplier's own says
     * @param  PriceBreaks|null  $prices  null = none agreed
     * @param  bool  $keepsPrices  who types may not see what it costs: it stays
     * @param  int  $setup  cents of a service, once for an order
     * @param  array<int, BigDecimal>  $along  of ours for one of it, by item
     * @param  int  $transportDays  of a service: there and back
     * @param  int  $least  cents the pieces of an order cost at least, of a service
     */
    public function __construct(
        public int $supplierId,
        public string $number,
        public string $minimum,
        public int $leadTimeDays,
        public ?int $overPercent,
        public ?PriceBreaks $prices,
        public bool $keepsPrices = false,
        public int $setup = 0,
        public int $least = 0,
        public array $along = [],
        public int $transportDays = 0,
    ) {
    }
}
