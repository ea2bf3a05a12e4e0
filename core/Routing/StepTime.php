<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** How long a step takes: setup once, run by quantity. */
final readonly class StepTime
{
    private const MOST = 5_256_000;

    /**
     * @param  BigDecimal  $setup  minutes, 0 or more
     * @param  BigDecimal  $rate  by $basis, above 0 (0 minutes are allowed where minutes are given)
     * @param  BigDecimal|null  $batch  pieces in a batch, above 0; used by the batch basis alone, null = 1
     */
    public function __construct(
        public BigDecimal $setup,
        public RunBasis $basis,
        public BigDecimal $rate,
        public ?BigDecimal $batch = null,
    ) {
    }

    /**
     * The same where each piece of the product takes so many of what the step makes. Its rate has six decimals.
     *
     * @param  BigRational  $each  above 0
     */
    public function perPiece(BigRational $each): self
    {
        $round = fn (BigRational $exact): BigDecimal => $exact->toScale(6, RoundingMode::HALF_UP);
        $rate = BigRational::of($this->rate);

        return match ($this->basis) {
            RunBasis::MinutesPerUnit => new self($this->setup, $this->basis, $round($rate->multipliedBy($each))),
            RunBasis::UnitsPerHour => new self($this->setup, $this->basis, $round($rate->dividedBy($each))),
            RunBasis::MinutesPerBatch => new self(
                $this->setup,
                $this->basis,
                $this->rate,
                $round(BigRational::of($this->batch ?? BigDecimal::one())->dividedBy($each)),
            ),
        };
    }

    /**
     * The same where an order takes so many of what the step makes, however many pieces it is for: all is done as the
     * setup is.
     */
    public function once(BigRational $all): self
    {
        $quantity = $all->toScale(6, RoundingMode::HALF_UP);

        return new self(
            $this->run($quantity)->plus($this->setup)->toScale(2, RoundingMode::CEILING),
            RunBasis::MinutesPerUnit,
            BigDecimal::zero(),
        );
    }

    /** Run minutes for $quantity, exact. */
    public function run(BigDecimal $quantity): BigRational
    {
        return match ($this->basis) {
            RunBasis::MinutesPerUnit => BigRational::of($this->rate)->multipliedBy($quantity),
            RunBasis::UnitsPerHour => BigRational::of($quantity)->multipliedBy(60)->dividedBy($this->rate),
            RunBasis::MinutesPerBatch => BigRational::of($this->rate)
                ->multipliedBy($quantity->dividedBy($this->batch ?? BigDecimal::one(), 0, RoundingMode::CEILING)),
        };
    }

    /**
     * Whole minutes for $quantity, rounded up once for the step; without setup for what goes on running.
     *
     * @throws Refused when it is more than ten years of minutes: a slip of the finger
     */
    public function minutes(BigDecimal $quantity, bool $withSetup = true): int
    {
        $exact = $withSetup ? $this->run($quantity)->plus($this->setup) : $this->run($quantity);
        $minutes = $exact->toScale(0, RoundingMode::CEILING);
        if ($minutes->isGreaterThan(self::MOST)) {
            throw Refused::because(
                sprintf(
                    '%s pieces would take %s years here. Check the quantity and the run time.',
                    Amount::plain($quantity),
                    $minutes->dividedBy(525_600, 0, RoundingMode::DOWN),
                ),
                'quantity',
            );
        }

        return $minutes->toInt();
    }
}
