<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;

/** Goods that a charge lies on. */
final readonly class ChargedLine
{
    /**
     * @param  string  $item  in words
     * @param  string  $unit  they are counted in
     * @param  BigDecimal  $quantity  stock units, above 0
     * @param  int  $value  cents, as they were bought
     * @param  BigDecimal|null  $weight  kg per stock unit; null = not known
     * @param  BigDecimal|null  $volume  dm³ per stock unit
     */
    public function __construct(
        public string $item,
        public string $unit,
        public BigDecimal $quantity,
        public int $value,
        public ?BigDecimal $weight = null,
        public ?BigDecimal $volume = null,
    ) {
    }
}
