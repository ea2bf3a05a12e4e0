<?php

namespace App\Queries\Builds;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use KeepPace\Core\Planning\PartThere;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Stock\Tracking;

/** A part of a build: what so many pieces take of it, and what of it is there. */
final readonly class BuildPart
{
    /**
     * @param  BigRational|null  $exact  stock units a piece, as the structure says; null = a share of what is planned
     * @param  BigDecimal  $planned  for the whole build
     * @param  BigDecimal  $used  so far
     * @param  BigDecimal  $free  that the build could take now
     */
    public function __construct(
        public int $position,
        public int $itemId,
        public string $number,
        public string $name,
        public string $unit,
        private int $decimals,
        private Tracking $tracking,
        private bool $isPerOrder,
        private ?BigRational $exact,
        public BigDecimal $planned,
        public BigDecimal $used,
        public BigDecimal $free,
    ) {
    }

    /**
     * What so many pieces take, less what was used.
     *
     * @param  BigDecimal  $pieces  with those built before
     * @param  BigDecimal  $all  asked for
     */
    public function due(BigDecimal $pieces, BigDecimal $all): BigDecimal
    {
        return UsageProposal::of(
            $this->planned,
            $this->used,
            BigRational::of($pieces)->dividedBy($all),
            $this->isPerOrder,
            $this->decimals,
            BigDecimal::zero(),
            $this->exact?->multipliedBy($pieces),
        );
    }

    public function missing(BigDecimal $due): BigDecimal
    {
        return BigDecimal::max(0, $due->minus($this->free));
    }

    /** @param  BigDecimal  $all  pieces asked for */
    public function there(BigDecimal $all): PartThere
    {
        return PartThere::of($this->isPerOrder, $this->exact, $this->planned, $all, $this->used, $this->free);
    }

    public function isPerOrder(): bool
    {
        return $this->isPerOrder;
    }

    public function takesCodes(): bool
    {
        return $this->tracking->isTracked();
    }

    public function codesHint(): string
    {
        return $this->tracking === Tracking::Serial ? 'serials, or by rule' : 'lot, or by rule';
    }
}
