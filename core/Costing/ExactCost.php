<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigNumber;
use Brick\Math\BigRational;

/** A cost by what it goes into, exact: for what is added up over many levels before it is rounded once. */
final readonly class ExactCost
{
    private function __construct(
        public BigRational $material,
        public BigRational $labour,
        public BigRational $machine,
        public BigRational $overhead,
        public BigRational $outside,
    ) {
    }

    public static function nothing(): self
    {
        return self::of();
    }

    /** In cents. */
    public static function of(
        BigNumber|int $material = 0,
        BigNumber|int $labour = 0,
        BigNumber|int $machine = 0,
        BigNumber|int $overhead = 0,
        BigNumber|int $outside = 0,
    ): self {
        return new self(...array_map(BigRational::of(...), [$material, $labour, $machine, $overhead, $outside]));
    }

    public function plus(self $other): self
    {
        return $this->each($other, fn (BigRational $one, BigRational $two): BigRational => $one->plus($two));
    }

    public function times(BigRational $by): self
    {
        return $this->each($this, fn (BigRational $one): BigRational => $one->multipliedBy($by));
    }

    public function total(): BigRational
    {
        return $this->material
            ->plus($this->labour)
            ->plus($this->machine)
            ->plus($this->overhead)
            ->plus($this->outside)
            ->simplified();
    }

    /** @param  callable(BigRational, BigRational): BigRational  $put */
    private function each(self $other, callable $put): self
    {
        $of = fn (BigRational $one, BigRational $two): BigRational => $put($one, $two)->simplified();

        return new self(
            $of($this->material, $other->material),
            $of($this->labour, $other->labour),
            $of($this->machine, $other->machine),
            $of($this->overhead, $other->overhead),
            $of($this->outside, $other->outside),
        );
    }
}
