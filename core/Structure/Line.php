<?php

declare(strict_types=1);

namespace KeepPace\Core\Structure;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/** One component line of a structure, its quantity already an exact ratio in the component's stock unit. */
final readonly class Line
{
    /**
     * @param  string  $id  the line's own key, handed back with what comes of it
     * @param  BigRational  $quantity  above 0, per unit made or per order
     * @param  BigDecimal|null  $scrap  per cent lost of what is taken, from 0 to below 100
     * @param  int|null  $step  number of the step it is used at; null = the first
     * @param  bool  $isCharged  false where somebody else brings it: it costs us nothing
     */
    public function __construct(
        public string $id,
        public string $item,
        public BigRational $quantity,
        public LineBasis $basis = LineBasis::PerUnit,
        public ?int $step = null,
        public ?BigDecimal $scrap = null,
        public bool $isCharged = true,
    ) {
    }

    /** One of it for each piece. */
    public static function one(string $item): self
    {
        return new self('', $item, BigRational::one());
    }

    /** What must be taken for $made units, before rounding: what is lost on the way is added. */
    public function neededFor(BigRational $made): BigRational
    {
        $net = $this->basis === LineBasis::PerUnit ? $this->quantity->multipliedBy($made) : $this->quantity;

        return $this->scrap === null || $this->scrap->isZero() ? $net : $net->multipliedBy(100)
            ->dividedBy(BigRational::of(100)->minus($this->scrap));
    }
}
