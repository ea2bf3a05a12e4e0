<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Shop\LeverOffer;
use App\Shop\LeverTries;
use App\Wording\Figures;

/** What would help a late order, as far as it was tried. */
final readonly class LeverPage
{
    /** So many are told beside a booking that made an order late. */
    private const CURES = 2;

    /**
     * @param  string  $stamp  of the plan they were asked for on
     * @param  list<ShownOffer>  $offers  best first
     * @param  int|null  $alone  UTC minute a search without any lever would finish it; null = it has no place
     * @param  bool  $hasMoved  whether the plan was written anew since they were asked for
     */
    private function __construct(
        private LeverTries $tries,
        public int $order,
        public string $stamp,
        public array $offers,
        public ?int $alone,
        public bool $hasMoved,
    ) {
    }

    public static function of(LeverTries $tries): self
    {
        return new self(
            $tries,
            $tries->order,
            $tries->stamp,
            array_map(fn (LeverOffer $offer): ShownOffer => ShownOffer::of($offer), $tries->offers),
            ($tries->offers[0] ?? null)?->finish,
            Plan::query()->findOrFail(Plan::LIVE)->stamp !== $tries->stamp,
        );
    }

    /** @return list<ShownOffer> the best that help, lending among them (W7); first those that are done at one click */
    public function cures(): array
    {
        $help = array_filter($this->offers, fn (ShownOffer $offer): bool => $offer->gain > 0);
        $atOnce = fn (ShownOffer $offer): bool => $offer->deed !== null;
        $others = array_filter($help, fn (ShownOffer $offer): bool => ! $atOnce($offer));

        return array_slice([...array_filter($help, $atOnce), ...$others], 0, self::CURES);
    }

    public function isUnderWay(): bool
    {
        return ! $this->tries->isDone && ! $this->hasBrokenOff();
    }

    public function hasBrokenOff(): bool
    {
        return $this->tries->hasBrokenOff();
    }

    /** Not before all were tried: what is found meanwhile moves under the hand that would choose. */
    public function canBeChosen(): bool
    {
        return $this->tries->isDone;
    }

    public function progress(): string
    {
        return $this->offers === []
            ? 'Trying each lever on the plan …'
            : Figures::count(count($this->offers), 'lever').' tried so far …';
    }
}
