<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Routing\StepTime;

/** What a step costs for a number of pieces: its time at the rates of its work centre, or a supplier's price. */
final readonly class StepCost
{
    /** @param  string  $price  euros a piece, of what a supplier does */
    private function __construct(
        private ?StepTime $time,
        private int $crew,
        private Rates $rates,
        private string $price,
    ) {
    }

    /** @param  int  $crew  people, 0 where it runs alone */
    public static function here(StepTime $time, int $crew, Rates $rates): self
    {
        return new self($time, $crew, $rates, '0');
    }

    public static function outside(string $price): self
    {
        return new self(null, 0, new Rates('0', '0', '0'), $price);
    }

    public function of(BigDecimal $pieces): ExactCost
    {
        if ($this->time === null) {
            return ExactCost::of(outside: Cents::of($pieces, $this->price));
        }
        $minutes = $this->time->minutes($pieces);
        $cost = $this->rates->cost($minutes * $this->crew, $minutes, $pieces);

        return ExactCost::of(labour: $cost['labour'], machine: $cost['machine'], overhead: $cost['overhead']);
    }
}
