<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;

/** What one move took from one layer. */
final readonly class LayerUse
{
    /** @param  int  $value  cents */
    public function __construct(public int $layer, public BigDecimal $quantity, public int $value)
    {
    }
}
