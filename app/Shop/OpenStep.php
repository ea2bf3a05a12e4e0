<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use KeepPace\Core\Naming\Code;
use KeepPace\Core\Routing\RunBasis;
use KeepPace\Core\Routing\StepTime;
use KeepPace\Core\Scheduling\SharedRun;

/** A step of an open order, with what is left to do at it. */
final class OpenStep
{
    private const NOTHING = '0.000000'; // as the database writes it: most steps, so no arithmetic for them

    /** Pieces. */
    public BigDecimal $left;

    /** UTC minute when what is at a supplier is back; null = nothing is there. */
    public ?int $backAt = null;

    /**
     * @param  string|null  $family  what it is set up alike with: its setup family, or the run it shares with others
     * @param  array<int, int>  $ways  where else it can be done: percent of its time by work centre
     * @param  int  $sharedSetup  minutes of the plan that are its share of a set-up
     * @param  bool  $isShared  it is set up with steps of other orders
     */
    private function __construct(
        public readonly int $id,
        public readonly int $orderId,
        public readonly int $number,
        public readonly ?int $workCentreId,
        public readonly ?int $supplierId,
        public readonly string $takenIn,
        public readonly string $good,
        public readonly string $scrap,
        public readonly ?string $startedAt,
        public readonly ?string $spellFrom,
        public readonly int $plannedMinutes,
        public readonly string $setupMinutes,
        private readonly string $runBasis,
        private readonly string $runRate,
        private readonly string $batch,
        public readonly int $crew,
        public readonly int $setupCrew,
        public readonly int $wait,
        public readonly int $move,
        public readonly int $daysAway,
        public readonly ?string $transferQuantity,
        public readonly ?string $family,
        public readonly bool $isUnbroken,
        public readonly string $qualification,
        private readonly ?string $machine,
        public readonly array $ways,
        private readonly int $sharedSetup,
        public readonly bool $isShared,
    ) {
    }

    /** @param  array<int, array<int, int>>  $ways  by step */
    public static function from(Row $row, array $ways): self
    {
        $family = $row->intOrNull('family_id');
        $run = $row->intOrNull('shared_run');

        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->int('number'),
            $row->intOrNull('work_centre_id'),
            $row->intOrNull('supplier_id'),
            $row->text('taken_in'),
            $row->text('good'),
            $row->text('scrap'),
            $row->textOrNull('started_at'),
            $row->textOrNull('spell_from'),
            $row->int('planned_minutes'),
            $row->text('setup_minutes'),
            $row->text('run_basis'),
            $row->text('run_rate'),
            $row->text('batch'),
            $row->int('crew'),
            $row->int('setup_crew'),
            $row->int('wait_minutes'),
            $row->int('move_minutes'),
            $row->int('lead_time_days') + $row->int('transport_days'),
            $row->textOrNull('transfer_quantity'),
            match (true) {
                $run !== null => SharedRun::key($run),
                $family !== null => (string) $family,
                default => null,
            },
            ! $row->flag('may_be_interrupted'),
            Code::keyOf($row->text('qualification')),
            $row->textOrNull('machine_minutes'),
            $run === null ? $ways[$row->int('id')] ?? [] : [],
            $run === null ? 0 : $row->int('shared_setup'),
            $run !== null,
        );
    }

    /** Says how many pieces are left to do, and when what is at a supplier is back. */
    public function leave(BigDecimal $left, ?int $backAt): self
    {
        $this->left = $left;
        $this->backAt = $backAt;

        return $this;
    }

    public function isOutside(): bool
    {
        return $this->supplierId !== null;
    }

    /** Somebody works at it; outside, its pieces are with the supplier. */
    public function isStarted(): bool
    {
        return $this->isOutside() ? $this->backAt !== null : $this->startedAt !== null;
    }

    /** Pieces were counted at it, good or scrap. */
    public function isCounted(): bool
    {
        return $this->good !== self::NOTHING || $this->scrap !== self::NOTHING;
    }

    /** Nothing has happened to it here. */
    public function isUntouched(): bool
    {
        return ! $this->isOutside() && ! $this->isStarted() && ! $this->isCounted();
    }

    /** People who run it: none is bound to what runs on without them. */
    public function runCrew(): int
    {
        return $this->machine === null ? $this->crew : 0;
    }

    /** Planned for all its pieces, without what it pays of a set-up it shares. */
    public function ownMinutes(): int
    {
        return $this->plannedMinutes - $this->sharedSetup;
    }

    /** Whole minutes of its setup; what is set up with others has none of its own. */
    public function setup(): int
    {
        if ($this->isShared) {
            return 0;
        }

        return str_ends_with($this->setupMinutes, '.00')
            ? (int) $this->setupMinutes
            : BigDecimal::of($this->setupMinutes)->toScale(0, RoundingMode::CEILING)->toInt();
    }

    public function time(): StepTime
    {
        return $this->timeWith($this->isShared ? '0' : $this->setupMinutes);
    }

    /** Minutes in which so many run through, its setup done. */
    public function runsThrough(string $pieces): int
    {
        return $this->timeWith('0')->minutes(BigDecimal::of($pieces));
    }

    private function timeWith(string $setup): StepTime
    {
        return new StepTime(
            BigDecimal::of($setup),
            RunBasis::from($this->runBasis),
            BigDecimal::of($this->runRate),
            BigDecimal::of($this->batch),
            $this->machine === null ? null : BigDecimal::of($this->machine),
        );
    }
}
