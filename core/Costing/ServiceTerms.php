<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;

/** On what terms a supplier does a service: its price by how many are ordered together, a set-up once, a minimum. */
final readonly class ServiceTerms
{
    /**
     * @param  int  $setup  cents, once for an order
     * @param  int  $minimum  cents of the pieces of an order, at least
     */
    public function __construct(private PriceBreaks $prices, private int $setup = 0, private int $minimum = 0)
    {
    }

    /** What is charged when so many are ordered together: the break goes by all of them (trade.md W1). */
    public function chargeFor(BigDecimal $pieces): ServiceCharge
    {
        return new ServiceCharge((string) $this->prices->price($pieces), $this->setup, $this->minimum);
    }

    /** Whether it is one of the prices agreed, for however many: not one that somebody typed. */
    public function isAgreed(string $price): bool
    {
        foreach ($this->prices->all() as [, $each]) {
            if ($each->isEqualTo($price)) {
                return true;
            }
        }

        return false;
    }
}
