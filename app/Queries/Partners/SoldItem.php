<?php

namespace App\Queries\Partners;

use App\Reading\Row;
use Brick\Math\BigDecimal;

/** An item a supplier sells, on what terms. */
final readonly class SoldItem
{
    /**
     * @param  string  $theirs  what they call it
     * @param  BigDecimal  $minimum  stock units; zero = any
     * @param  BigDecimal|null  $price  euros of one, of the smallest quantity; null = none agreed
     * @param  bool  $isUsual  it is bought there if nobody says otherwise
     */
    private function __construct(
        public int $id,
        public string $number,
        public string $name,
        public string $unit,
        public string $theirs,
        public BigDecimal $minimum,
        public int $leadTimeDays,
        public ?BigDecimal $price,
        public bool $isUsual,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
            $row->textOrNull('theirs') ?? '',
            $row->decimalOrZero('minimum_quantity'),
            $row->int('lead_time_days'),
            $row->decimalOrNull('price'),
            $row->flag('is_usual'),
        );
    }
}
