<?php

declare(strict_types=1);

namespace KeepPace\Core\Costing;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\Takes;

/** What a step costs for a number of pieces: its time at the rates of its work centre, or a supplier's price. */
final readonly class StepCost
{
    /**
     * @param  ServiceCharge  $charge  of what a supplier does
     * @param  bool  $isOnce  it is for all, however many pieces
     */
    private function __construct(
        private ?StepTime $time,
        private int $crew,
        private Rates $rates,
        private ServiceCharge $charge,
        private bool $isOnce = false,
    ) {
    }

    /** @param  int  $crew  people, 0 where it runs alone */
    public static function here(StepTime $time, int $crew, Rates $rates): self
    {
        return new self($time, $crew, $rates, new ServiceCharge('0'));
    }

    public static function outside(ServiceCharge $charge): self
    {
        return new self(null, 0, new Rates('0', '0', '0'), $charge);
    }

    /** The same for a step of a phantom, of which the product takes so much. */
    public function within(Takes $takes): self
    {
        $isEach = $takes->basis === LineBasis::PerUnit;

        return new self(
            $isEach ? $this->time?->perPiece($takes->ratio) : $this->time?->once($takes->ratio),
            $this->crew,
            $this->rates,
            new ServiceCharge(
                (string) $takes->ratio->multipliedBy($this->charge->price)->toScale(6, RoundingMode::HALF_UP),
                $this->charge->setup,
                $this->charge->minimum,
            ),
            ! $isEach,
        );
    }

    public function of(BigDecimal $pieces): ExactCost
    {
        if ($this->time === null) {
            return ExactCost::of(outside: $this->charge->of($this->isOnce ? BigDecimal::one() : $pieces));
        }
        $minutes = $this->time->minutes($pieces);
        $cost = $this->rates->cost($this->time->labour($pieces, $this->crew), $minutes, $pieces);

        return ExactCost::of(labour: $cost['labour'], machine: $cost['machine'], overhead: $cost['overhead']);
    }
}
