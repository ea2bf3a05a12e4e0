<?php

namespace App\Queries\Today;

use App\Queries\Orders\PlanReadiness;
use App\Reading\Row;
use App\Wording\WaitsFor;
use KeepPace\Core\Planning\LateFor;
use KeepPace\Core\Planning\OrderState;

/** An open order as far as Today counts it. */
final readonly class OpenOrder
{
    private function __construct(
        public int $id,
        private OrderState $state,
        private bool $isHeld,
        private PlanReadiness $readiness,
        public int $lateMinutes,
        private ?LateFor $lateFor,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            PlanReadiness::from($row),
            $row->intOrNull('late_minutes') ?? 0,
            LateFor::tryFrom($row->textOrNull('late_for') ?? ''),
        );
    }

    public function isStuck(): bool
    {
        return $this->readiness->isStuck() && ! $this->isHeld;
    }

    public function canBeReleased(): bool
    {
        return $this->state === OrderState::Firm && $this->readiness->canBeReleased();
    }

    public function isLate(): bool
    {
        return $this->lateMinutes > 0;
    }

    public function isLateForParts(): bool
    {
        return $this->isLate() && $this->lateFor === LateFor::Parts;
    }

    /** @return list<string>  items nothing is ordered of */
    public function notOrdered(): array
    {
        $missing = array_filter($this->readiness->blocks(), fn (WaitsFor $one): bool => ! $one->isOrdered());

        return array_values(array_unique(array_column($missing, 'item')));
    }
}
