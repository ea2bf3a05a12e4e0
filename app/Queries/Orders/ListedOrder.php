<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\LateFor;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderState;

/** An order with its item, its place in the plan and whom it is for, as the lists show it. */
final readonly class ListedOrder
{
    /**
     * @param  string|null  $dueOn  day
     * @param  string|null  $shortReason  why it was released without its parts
     * @param  int|null  $lateMinutes  open minutes; null = it is not in the plan
     * @param  string|null  $orderBy  day by which what it misses has to be ordered
     * @param  string|null  $customers  for whom it is made, by covers
     */
    public function __construct(
        public int $id,
        public string $number,
        public BigDecimal $quantity,
        public OrderState $state,
        public bool $isHeld,
        public bool $isLoadedLate,
        public ?string $dueOn,
        public int $rank,
        public int $version,
        public ?string $shortReason,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public ?CarbonImmutable $finishAt,
        public ?CarbonImmutable $dueAt,
        public ?int $lateMinutes,
        public ?LateFor $lateFor,
        public ?string $orderBy,
        public PlanReadiness $readiness,
        public ?string $customers,
        private ?string $forNumber,
        public ?CarbonImmutable $lastBooking,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('number'),
            $row->decimal('quantity'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->flag('is_loaded_late'),
            $row->textOrNull('due_on'),
            $row->int('rank'),
            $row->int('version'),
            $row->textOrNull('short_reason'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->momentOrNull('finish_at'),
            $row->momentOrNull('due_at'),
            $row->intOrNull('late_minutes'),
            LateFor::tryFrom($row->textOrNull('late_for') ?? ''),
            $row->textOrNull('order_by'),
            PlanReadiness::from($row),
            $row->textOrNull('customers'),
            $row->textOrNull('for_number'),
            // one that was made by covering a line stands in that one's history first
            $row->momentOrNull('last_booking') ?? $row->momentOrNull('created_at'),
        );
    }

    /** Made for a part of another. */
    public function isForAnOrder(): bool
    {
        return $this->forNumber !== null;
    }

    public function forWhom(): string
    {
        return $this->customers ?? $this->forNumber ?? 'the shelf';
    }

    /** How it stands against its date, in open minutes; null where nobody waits or it is not in the plan. */
    public function pace(): ?int
    {
        return $this->dueOn === null ? null : $this->lateMinutes;
    }

    public function isLate(): bool
    {
        return ($this->lateMinutes ?? 0) > 0;
    }

    /** As it stands; deeds ask the same. */
    private function may(OrderDeed $deed): bool
    {
        return $deed->whyNot($this->number, $this->state, $this->isHeld) === null;
    }

    public function takesComponents(): bool
    {
        return $this->may(OrderDeed::Issue);
    }

    public function canBeClosed(): bool
    {
        return $this->may(OrderDeed::Close);
    }

    public function canBeCancelled(): bool
    {
        return $this->may(OrderDeed::Cancel);
    }

    public function canBeChanged(): bool
    {
        return $this->may(OrderDeed::Change);
    }

    public function canBeReleased(): bool
    {
        return $this->state === OrderState::Firm && ! $this->isHeld && $this->readiness->canBeReleased();
    }
}
