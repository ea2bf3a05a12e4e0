<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Structure\ShareRule;

/** So much of one output of an order, and by what it carries cost. */
final readonly class JointOutput
{
    /**
     * @param  BigDecimal  $quantity  planned or received, in its stock unit
     * @param  BigDecimal  $share  euros a stock unit by value or at a set value; per cent by percent; else not asked
     */
    public function __construct(public ShareRule $rule, public BigDecimal $quantity, public BigDecimal $share)
    {
    }

    public function isCredited(): bool
    {
        return $this->rule === ShareRule::SetValue;
    }

    /** Cents, at its set value. */
    public function credit(): int
    {
        return Credit::of($this->quantity, $this->share);
    }
}
