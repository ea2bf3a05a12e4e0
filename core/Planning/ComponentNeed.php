<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** What one open order still needs of one item, at one of its steps. */
final readonly class ComponentNeed
{
    /** @param  BigDecimal  $open planned less used, in the item's stock unit, 0 or more */
    public function __construct(
        public int $id,
        public int $order,
        public int $item,
        public string $itemName,
        public int $step,
        public BigDecimal $open,
    ) {
    }
}
