<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** How one component need is met: from stock, from what is coming, and what nothing is ordered for. */
final readonly class Allocated
{
    /** @param  list<array{supply: Supply, quantity: BigDecimal}>  $coming */
    public function __construct(
        public ComponentNeed $need,
        public BigDecimal $fromStock,
        public array $coming,
        public BigDecimal $missing,
    ) {
    }

    /** Some of it comes with a purchase. */
    public function isBought(): bool
    {
        foreach ($this->coming as ['supply' => $supply]) {
            if ($supply->by->isPurchase()) {
                return true;
            }
        }

        return false;
    }

    public function isThere(): bool
    {
        return $this->coming === [] && $this->missing->isZero();
    }
}
