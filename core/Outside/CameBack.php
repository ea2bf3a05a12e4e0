<?php

declare(strict_types=1);

namespace KeepPace\Core\Outside;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * What became of pieces that were at a supplier, as it was counted: good, spoiled there, lost, or not worked. Of those
 * spoiled or lost it is said whose fault it was.
 */
final readonly class CameBack
{
    public function __construct(
        public BigDecimal $good,
        public BigDecimal $spoiled,
        public BigDecimal $lost,
        public BigDecimal $unworked,
        public Whose $whose = Whose::Ours,
    ) {
    }

    /** Back as they went. */
    public static function unworked(BigDecimal $pieces): self
    {
        return new self(BigDecimal::zero(), BigDecimal::zero(), BigDecimal::zero(), $pieces);
    }

    public static function good(BigDecimal $pieces): self
    {
        return new self($pieces, BigDecimal::zero(), BigDecimal::zero(), BigDecimal::zero());
    }

    public function all(): BigDecimal
    {
        return BigDecimal::sum($this->good, $this->spoiled, $this->lost, $this->unworked);
    }

    /** The work on so many is paid. */
    public function paid(): BigDecimal
    {
        return $this->whose->isPaid() ? $this->good->plus($this->scrap()) : $this->good;
    }

    /** The work on so many is not. */
    public function unpaid(): BigDecimal
    {
        return $this->whose->isPaid() ? BigDecimal::zero() : $this->scrap();
    }

    /** The order has so many less from now on. */
    public function scrap(): BigDecimal
    {
        return $this->spoiled->plus($this->lost);
    }

    /**
     * Dealt out over the consignments they went with: what went first comes back first, the good ones first.
     *
     * @param  array<int, BigDecimal>  $there  still with the supplier, by line, oldest first
     * @param  string  $step  as people read it
     * @param  BigDecimal  $here  pieces at the step that were never sent
     * @return array<int, Sent> what each line gets, without those that get nothing
     *
     * @throws Refused when more came back than is there
     */
    public function dealtOver(array $there, string $step, BigDecimal $here): array
    {
        $all = BigDecimal::sum(BigDecimal::zero(), ...array_values($there));
        if ($this->all()->isGreaterThan($all)) {
            throw OutsideRefused::moreThanIsThere($this->all(), $all, $here, $step);
        }
        $left = [
            'good' => $this->good,
            'spoiled' => $this->spoiled,
            'lost' => $this->lost,
            'unworked' => $this->unworked,
        ];
        $dealt = [];
        foreach ($there as $line => $pieces) {
            $got = [];
            foreach ($left as $what => $wanted) {
                $take = BigDecimal::min($wanted, $pieces);
                $got[$what] = $take;
                $left[$what] = $wanted->minus($take);
                $pieces = $pieces->minus($take);
            }
            $scrap = $got['spoiled']->plus($got['lost']);
            $of = new Sent(
                BigDecimal::zero(),
                $got['good'],
                $got['spoiled'],
                $got['lost'],
                $got['unworked'],
                $this->whose->isPaid() ? null : $scrap,
            );
            $of->gone()->isZero() ?: $dealt[$line] = $of;
        }

        return $dealt;
    }

    /** "12 good, 1 spoiled there" */
    public function says(): string
    {
        $parts = [
            'good' => $this->good,
            'spoiled there' => $this->spoiled,
            'lost there' => $this->lost,
            'back as they went' => $this->unworked,
        ];
        $said = [];
        foreach ($parts as $what => $pieces) {
            $pieces->isZero() ?: $said[] = Amount::plain($pieces)." {$what}";
        }

        return implode(', ', $said);
    }
}
