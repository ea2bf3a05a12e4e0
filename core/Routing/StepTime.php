<?php

declare(strict_types=1);

namespace KeepPace\Core\Routing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * How long a step takes: setup once, run by quantity. Where the machine is held longer or shorter than people work at a
 * piece, its time is the step's, and theirs is counted apart.
 */
final readonly class StepTime
{
    private const MOST = 5_256_000;

    /**
     * @param  BigDecimal  $setup  minutes, 0 or more
     * @param  BigDecimal  $rate  by $basis, above 0 (0 minutes are allowed where minutes are given)
     * @param  BigDecimal|null  $batch  pieces in a batch, above 0; used by the batch basis alone, null = 1
     * @param  BigDecimal|null  $machine  minutes the machine is held for a unit, 0 or more; null = as long as people
     *     work at it
     */
    public function __construct(
        public BigDecimal $setup,
        public RunBasis $basis,
        public BigDecimal $rate,
        public ?BigDecimal $batch = null,
        public ?BigDecimal $machine = null,
    ) {
    }

    /** The same with another setup. */
    public function setUpIn(BigDecimal $minutes): self
    {
        return new self($minutes, $this->basis, $this->rate, $this->batch, $this->machine);
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
        [$rate, $batch] = match ($this->basis) {
            RunBasis::MinutesPerUnit => [$rate->multipliedBy($each), null],
            RunBasis::UnitsPerHour => [$rate->dividedBy($each), null],
            RunBasis::MinutesPerBatch => [$rate, BigRational::of($this->batch ?? BigDecimal::one())->dividedBy($each)],
        };

        return new self(
            $this->setup,
            $this->basis,
            $round($rate),
            $batch === null ? null : $round($batch),
            $this->machine === null ? null : $round(BigRational::of($this->machine)->multipliedBy($each)),
        );
    }

    /**
     * The same where an order takes so many of what the step makes, however many pieces it is for: all is done as the
     * setup is, people there all the time.
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

    /** Minutes the machine runs for $quantity, exact. */
    public function run(BigDecimal $quantity): BigRational
    {
        return $this->machine === null
            ? $this->attended($quantity)
            : BigRational::of($this->machine)->multipliedBy($quantity);
    }

    /** Minutes people work at $quantity, each of them, exact. */
    private function attended(BigDecimal $quantity): BigRational
    {
        return match ($this->basis) {
            RunBasis::MinutesPerUnit => BigRational::of($this->rate)->multipliedBy($quantity),
            RunBasis::UnitsPerHour => BigRational::of($quantity)->multipliedBy(60)->dividedBy($this->rate),
            RunBasis::MinutesPerBatch => BigRational::of($this->rate)
                ->multipliedBy($quantity->dividedBy($this->batch ?? BigDecimal::one(), 0, RoundingMode::CEILING)),
        };
    }

    /** People are there as long as it runs. */
    public function isTended(): bool
    {
        return $this->machine === null;
    }

    /** Minutes of all people for $quantity, the setup done by as many. */
    public function labour(BigDecimal $quantity, int $crew): int
    {
        return $this->attended($quantity)
            ->plus($this->setup)
            ->toScale(0, RoundingMode::CEILING)
            ->toInt() * $crew;
    }

    /**
     * Minutes of all people in so many that the machine was held: all of its setup, and of the run their share.
     *
     * @param  int  $minutes  that were booked
     * @param  bool  $withSetup  they hold its setup
     */
    public function labourIn(int $minutes, int $crew, bool $withSetup): int
    {
        if ($this->machine === null || $this->machine->isZero()) {
            return $minutes * $crew;
        }
        $batch = $this->basis === RunBasis::MinutesPerBatch ? $this->batch ?? BigDecimal::one() : BigDecimal::one();
        $share = $this->attended($batch)->dividedBy($batch)->dividedBy($this->machine);
        $setup = $withSetup ? BigRational::min($minutes, $this->setup) : BigRational::zero();

        return BigRational::of($minutes)
            ->minus($setup)
            ->multipliedBy($share)
            ->plus($setup)
            ->multipliedBy($crew)
            ->toScale(0, RoundingMode::HALF_UP)
            ->toInt();
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
