<?php

namespace App\Queries\Station;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** A step of an order as those see it who work on it: what stands here, what is done of it, where it goes. */
final readonly class StationJob
{
    /**
     * @param  BigDecimal  $quantity  pieces of the order
     * @param  int|null  $next  number of the step it is passed on to; null = it is received next
     * @param  CarbonImmutable|null  $runningSince  null = nobody has begun
     * @param  CarbonImmutable|null  $spellFrom  when what is not counted yet began
     * @param  CarbonImmutable|null  $planned  when it begins by the plan
     * @param  int  $madeByItem  whose routing the step is of: the item's, or a phantom's in it
     * @param  int  $madeByStep  its number there
     * @param  int  $partsOpen  components of the step that are not issued yet
     */
    public function __construct(
        public int $id,
        public int $orderId,
        public int $itemId,
        public string $order,
        public int $number,
        public string $name,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $quantity,
        private BigDecimal $takenIn,
        private BigDecimal $good,
        private BigDecimal $scrap,
        private BigDecimal $passedOn,
        public ?int $next,
        public string $instructions,
        public string $tools,
        public ?CarbonImmutable $runningSince,
        public ?string $worker,
        public ?CarbonImmutable $spellFrom,
        public ?int $workCentre,
        public bool $isUnattended,
        public ?CarbonImmutable $planned,
        public int $lateMinutes,
        public int $partsOpen,
        public int $madeByItem,
        public int $madeByStep,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->int('item_id'),
            $row->text('order_number'),
            $row->int('number'),
            $row->text('name'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->decimal('quantity'),
            $row->decimal('taken_in'),
            $row->decimal('good'),
            $row->decimal('scrap'),
            $row->decimal('passed_on'),
            $row->intOrNull('next_number'),
            $row->text('instructions'),
            $row->text('tools'),
            $row->momentOrNull('started_at'),
            $row->textOrNull('worker'),
            $row->momentOrNull('spell_from'),
            $row->intOrNull('work_centre_id'),
            $row->int('crew') === 0,
            $row->momentOrNull('start_at'),
            $row->intOrNull('late_minutes') ?? 0,
            $row->int('parts_open'),
            $row->intOrNull('made_by_item') ?? $row->int('item_id'),
            $row->intOrNull('made_by_step') ?? $row->int('number'),
        );
    }

    public function step(): string
    {
        return "{$this->number} {$this->name}";
    }

    /** Pieces stand here that were not passed on. */
    public function isHere(): bool
    {
        return $this->takenIn->isGreaterThan($this->passedOn);
    }

    public function isRunning(): bool
    {
        return $this->runningSince !== null;
    }

    public function canStart(): bool
    {
        return ! $this->isRunning() && $this->toDo()->isPositive();
    }

    /** Pieces that are neither good nor scrap yet. */
    public function toDo(): BigDecimal
    {
        return $this->takenIn->minus($this->good)->minus($this->scrap);
    }

    /** Good pieces that still lie here. */
    public function inHand(): BigDecimal
    {
        return $this->good->minus($this->passedOn);
    }

    /** What can be passed on once all is counted good. */
    public function toPassOn(): BigDecimal
    {
        return $this->toDo()->plus($this->inHand());
    }

    /** "Good, of 4" */
    public function goodSays(): string
    {
        return 'Good, of '.Figures::amount((string) $this->toDo());
    }

    /** "2 good in hand, to be received" */
    public function inHandSays(): string
    {
        $inHand = Figures::amount((string) $this->inHand());

        return "{$inHand} good in hand".($this->next === null ? ', to be received' : '');
    }

    /** "3 parts not issued yet" */
    public function partsSay(): string
    {
        return Figures::count($this->partsOpen, 'part').' not issued yet';
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "step-{$this->id}";
    }
}
