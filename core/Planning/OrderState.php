<?php

declare(strict_types=1);

namespace KeepPace\Core\Planning;

use Brick\Math\BigDecimal;

/** The life of an order. Held stands beside it. */
enum OrderState: string
{
    case Proposed = 'proposed';
    case Firm = 'firm';
    case Released = 'released';
    case Running = 'running';
    case Built = 'built';
    case Closed = 'closed';
    case Cancelled = 'cancelled';

    /** Still want time and material. */
    public const OPEN = [self::Firm, self::Released, self::Running];

    /** Work and issues may be booked. */
    public const IN_THE_SHOP = [self::Released, self::Running];

    /**
     * The state of a released order.
     *
     * @param  BigDecimal  $out received, scrapped and given up of what was started
     */
    public static function derived(bool $worked, BigDecimal $started, BigDecimal $out): self
    {
        if ($started->isPositive() && $out->isGreaterThanOrEqualTo($started)) {
            return self::Built;
        }

        return $worked ? self::Running : self::Released;
    }

    /** Work and issues may be booked. */
    public function isInTheShop(): bool
    {
        return in_array($this, self::IN_THE_SHOP, true);
    }

    /** What is bought for it goes into its cost. */
    public function takesCost(): bool
    {
        return $this->isInTheShop() || $this->isBuilt();
    }

    /** It is to be made, but the shop was not told yet. */
    public function isFirm(): bool
    {
        return $this === self::Firm;
    }

    /** All pieces are out of it; its cost is not settled yet. */
    public function isBuilt(): bool
    {
        return $this === self::Built;
    }

    /** Nothing more will be booked on it. */
    public function isOver(): bool
    {
        return in_array($this, [self::Closed, self::Cancelled], true);
    }

    /** Nothing was worked on it yet. */
    public function canBeCancelled(): bool
    {
        return in_array($this, [self::Firm, self::Released], true);
    }

    /** Still wants time and material. */
    public function isOpen(): bool
    {
        return in_array($this, self::OPEN, true);
    }
}
