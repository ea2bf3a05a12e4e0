<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Wording\ReadinessWords;
use App\Wording\WaitsFor;
use KeepPace\Core\Planning\ReadinessState;

/** What an order can do now and what it waits for, as the live plan keeps it. */
final class PlanReadiness
{
    private const NOTHING = '[]';

    /** Worked out once: a page says it as text and as a title. */
    private ?string $said = null;

    /**
     * @param  ReadinessState|null  $state  null = it is not in the plan
     * @param  string  $blocks  as the plan keeps them, JSON
     * @param  string  $unplaced  why the plan has no place for it
     */
    private function __construct(
        public readonly ?ReadinessState $state,
        public readonly bool $canStart,
        private readonly string $blocks,
        private readonly string $unplaced,
    ) {
    }

    /** Of the columns readiness, can_start, blocks and unplaced of plan_orders. */
    public static function from(Row $row): self
    {
        return new self(
            $row->enumOrNull('readiness', ReadinessState::class),
            (bool) $row->intOrNull('can_start'),
            $row->textOrNull('blocks') ?? self::NOTHING,
            $row->textOrNull('unplaced') ?? '',
        );
    }

    public function isStuck(): bool
    {
        return $this->state === ReadinessState::Stuck;
    }

    /** It begins with all its parts there or on their way. */
    public function canBeReleased(): bool
    {
        return $this->canStart && ! $this->isStuck();
    }

    /** "can start now; waits at step 50 until Thu for Gear blank (P-558)" */
    public function says(): string
    {
        return $this->said ??= ReadinessWords::say($this->canStart, $this->blocks(), $this->unplaced);
    }

    /** @return list<WaitsFor> */
    public function blocks(): array
    {
        return WaitsFor::all($this->blocks);
    }

    public function tone(): string
    {
        return match ($this->state) {
            ReadinessState::Stuck => 'behind notched',
            ReadinessState::Waits => 'soon',
            default => 'good',
        };
    }
}
