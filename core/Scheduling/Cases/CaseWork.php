<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Cases;

use Brick\Math\BigDecimal;
use Brick\Math\BigNumber;
use Brick\Math\RoundingMode;
use KeepPace\Core\Scheduling\PassOn;

/** Minutes of an operation of a case, at its own work centre or at another that takes so many per cent of them. */
final readonly class CaseWork
{
    private function __construct(private int $setup, private BigDecimal $each, private int $quantity)
    {
    }

    public static function of(CaseFields $operation): self
    {
        return new self(
            $operation->number('setup_min'),
            $operation->decimal('run_min_per_unit'),
            $operation->number('quantity'),
        );
    }

    /** Setup and run, rounded up as one; at least 1. */
    public function work(int $percent): int
    {
        return max(1, self::up($this->each->multipliedBy($this->quantity)->plus($this->setup), $percent));
    }

    public function setup(int $percent): int
    {
        return self::up(BigDecimal::of($this->setup), $percent);
    }

    public function run(int $percent): int
    {
        return $this->work($percent) - $this->setup($percent);
    }

    /**
     * Its pieces go on in batches of so many.
     *
     * @param  int  $percent  the most it takes at any work centre
     * @param  self|null  $next  the operation behind it; null = none
     * @param  int  $nextPercent  the most that one takes
     */
    public function passOn(int $transfer, int $percent, ?self $next, int $nextPercent): ?PassOn
    {
        if ($transfer < 1 || $transfer >= $this->quantity || $next === null) {
            return null;
        }
        $last = $this->quantity - $transfer * (intdiv($this->quantity + $transfer - 1, $transfer) - 1);

        return new PassOn(
            min($this->run($percent), self::up($this->each->multipliedBy($transfer), $percent)),
            min($next->run($nextPercent), self::up($next->each->multipliedBy($last), $nextPercent)),
        );
    }

    private static function up(BigNumber $minutes, int $percent): int
    {
        return BigDecimal::of($minutes)
            ->multipliedBy($percent)
            ->dividedBy(100, 0, RoundingMode::CEILING)
            ->toInt();
    }
}
