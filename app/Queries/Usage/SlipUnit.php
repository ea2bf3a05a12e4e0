<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Another unit an item can be counted in: p/q of its stock unit. */
final readonly class SlipUnit
{
    private const PLACES = 6;

    private function __construct(
        public int $itemId,
        public string $code,
        private BigDecimal $p,
        private BigDecimal $q,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self($row->int('item_id'), $row->text('code'), $row->decimal('p'), $row->decimal('q'));
    }

    public function inStockUnit(BigDecimal $amount): BigDecimal
    {
        return $amount
            ->multipliedBy($this->p)
            ->dividedBy($this->q, self::PLACES, RoundingMode::HALF_UP)
            ->stripTrailingZeros();
    }
}
