<?php

namespace App\Queries\Board;

use App\Shop\LeverDeed;
use App\Shop\LeverOffer;
use App\Wording\Figures;

/** A lever that was tried on the plan, and what it does for an order and for all. */
final readonly class ShownOffer
{
    /**
     * @param  int|null  $finishWith  UTC minute; null = it has no place with it
     * @param  int|null  $gain  elapsed minutes by which it is finished sooner; null = nobody can tell
     * @param  int  $lateness  open minutes by which all lateness grows
     * @param  string  $costs  what it costs against what it would; '' = nothing is known
     * @param  LeverDeed|null  $deed  by which it becomes a fact at one click
     */
    private function __construct(
        public string $says,
        public string $costs,
        public ?int $finishWith,
        public ?int $gain,
        private int $lateness,
        public ?LeverDeed $deed,
    ) {
    }

    public static function of(LeverOffer $offer): self
    {
        return new self(
            $offer->lever->says,
            $offer->lever->costs,
            $offer->finishWith,
            $offer->finish === null || $offer->finishWith === null ? null : $offer->finish - $offer->finishWith,
            $offer->lateWith - $offer->late,
            $offer->lever->deed,
        );
    }

    public function gainSays(): string
    {
        return match (true) {
            $this->gain === null => 'no place',
            $this->gain > 0 => Figures::elapsed($this->gain).' sooner',
            $this->gain < 0 => Figures::elapsed(-$this->gain).' later',
            default => 'no sooner',
        };
    }

    public function tone(): string
    {
        return match (true) {
            $this->gain > 0 => 'good',
            $this->gain < 0 => 'behind',
            default => '',
        };
    }

    /** What it does to the lateness of all orders. */
    public function latenessSays(): string
    {
        return match (true) {
            $this->lateness === 0 => 'the same',
            $this->lateness > 0 => Figures::minutes($this->lateness).' more',
            default => Figures::minutes(-$this->lateness).' less',
        };
    }
}
