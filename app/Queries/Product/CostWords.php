<?php

namespace App\Queries\Product;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\ExactCost;

/** A rolled-up cost as a page shows it: by kind, for all pieces and for one. */
final readonly class CostWords
{
    public function __construct(private ExactCost $all, public BigDecimal $pieces, public bool $isUsualLot)
    {
    }

    /** @return array<string, int> cents for all pieces, by kind; those of nothing are left out */
    public function kinds(): array
    {
        return array_filter(array_map(self::cents(...), [
            'material' => $this->all->material,
            'labour' => $this->all->labour,
            'machine' => $this->all->machine,
            'overhead' => $this->all->overhead,
            'outside' => $this->all->outside,
        ]));
    }

    /** Cents. */
    public function total(): int
    {
        return self::cents($this->all->total());
    }

    /** Euros for one, to four places. */
    public function unit(): BigDecimal
    {
        return $this->all->total()->dividedBy($this->pieces)->dividedBy(100)->toScale(4, RoundingMode::HALF_UP);
    }

    private static function cents(BigRational $exact): int
    {
        return $exact->toScale(0, RoundingMode::HALF_UP)->toInt();
    }
}
