<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Takes;

/** What a step costs for a number of pieces: its time at the rates of its work centre, or a supplier's price. */
final readonly class StepCost
{
    /**
     * @param  string  $price  euros a piece, of what a supplier does
     * @param  bool  $isOnce  the price is for all, however many pieces
     */
    private function __construct(
        private ?StepTime $time,
        private int $crew,
        private Rates $rates,
        private string $price,
        private bool $isOnce = false,
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

    /** The same for a step of a phantom, of which the product takes so much. */
    public function within(Takes $takes): self
    {
        $isEach = $takes->basis === LineBasis::PerUnit;

        return new self(
            $isEach ? $this->time?->perPiece($takes->ratio) : $this->time?->once($takes->ratio),
            $this->crew,
            $this->rates,
            (string) $takes->ratio->multipliedBy($this->price)->toScale(6, RoundingMode::HALF_UP),
            ! $isEach,
        );
    }

    public function of(BigDecimal $pieces): ExactCost
    {
        if ($this->time === null) {
            return ExactCost::of(outside: Cents::of($this->isOnce ? BigDecimal::one() : $pieces, $this->price));
        }
        $minutes = $this->time->minutes($pieces);
        $cost = $this->rates->cost($this->time->labour($pieces, $this->crew), $minutes, $pieces);

        return ExactCost::of(labour: $cost['labour'], machine: $cost['machine'], overhead: $cost['overhead']);
    }
}
