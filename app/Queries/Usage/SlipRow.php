<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Stock\Tracking;

/** A line of a usage slip: planned, used, proposed, on hand; what was typed, and the lots and serials it is of. */
final readonly class SlipRow
{
    private const BY_CUSTOMER = 'customer';

    /**
     * @param  int|null  $componentId  null = not planned for the order
     * @param  BigDecimal|null  $replaced  used of what stands in for it
     * @param  string  $typed  quantity, right or wrong
     * @param  string  $typedUnit  empty = the stock unit
     * @param  Collection<int, SlipSplitRow>  $splits
     * @param  Collection<int, SlipUnit>  $units  others it can be counted in
     */
    private function __construct(
        public int $id,
        public int $orderId,
        public string $order,
        private OrderState $orderState,
        private bool $orderIsHeld,
        public ?int $componentId,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public Tracking $tracking,
        public string $unit,
        public int $step,
        public ?BigDecimal $planned,
        public ?BigDecimal $used,
        public ?BigDecimal $replaced,
        private ?string $plannedNumber,
        public ?string $plannedItem,
        private ?string $suppliedBy,
        public BigDecimal $proposed,
        public string $typed,
        public string $typedUnit,
        public string $reason,
        public bool $isOut,
        public BigDecimal $onHand,
        public Collection $splits,
        public Collection $units,
    ) {
    }

    /**
     * @param  Collection<int, SlipSplitRow>  $splits
     * @param  Collection<int, FreeLot>  $stock  of its item
     * @param  Collection<int, SlipUnit>  $units
     */
    public static function from(Row $row, Collection $splits, Collection $stock, Collection $units): self
    {
        $isOwn = $row->textOrNull('supplied_by') === self::BY_CUSTOMER;
        $there = $stock
            ->filter(fn (FreeLot $lot): bool => $lot->isCustomersOwn === $isOwn)
            ->map(fn (FreeLot $lot): BigDecimal => $lot->quantity);

        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->intOrNull('component_id'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->enum('tracking', Tracking::class),
            $row->text('stock_unit'),
            $row->int('step_number'),
            $row->decimalOrNull('planned_quantity'),
            $row->decimalOrNull('used_quantity'),
            $row->decimalOrNull('replaced_quantity'),
            $row->textOrNull('planned_number'),
            $row->textOrNull('planned_name'),
            $row->textOrNull('supplied_by'),
            $row->decimal('proposed'),
            $row->text('typed'),
            $row->text('unit'),
            $row->text('reason'),
            $row->flag('is_out'),
            BigDecimal::sum(0, ...$there),
            $splits,
            $units,
        );
    }

    /** "held", "closed": why nothing can be issued to its order; empty where it can. */
    public function orderSays(): string
    {
        return match (true) {
            $this->orderIsHeld => 'held',
            $this->orderState->isInTheShop() => '',
            default => $this->orderState->value,
        };
    }

    public function isSubstitute(): bool
    {
        return $this->componentId !== null && $this->plannedNumber !== $this->itemNumber;
    }

    public function isCustomersOwn(): bool
    {
        return $this->suppliedBy === self::BY_CUSTOMER;
    }

    /** Less lies there than is proposed. */
    public function isScarce(): bool
    {
        return $this->onHand->isLessThan($this->proposed);
    }

    public function isTracked(): bool
    {
        return $this->tracking->isTracked();
    }

    /** @return array<string, string>  said by what is sent; the stock unit goes as nothing */
    public function unitOptions(): array
    {
        return ['' => $this->unit] + array_column($this->units->all(), 'code', 'code');
    }

    public function unitSays(): string
    {
        return $this->typedUnit === '' ? $this->unit : $this->typedUnit;
    }

    /** Places it is taken from. */
    public function places(): string
    {
        return implode(', ', array_unique(array_filter(array_column($this->splits->all(), 'place'))));
    }

    /** @return Collection<int, SlipSplitRow>  lots and serials, named */
    public function lots(): Collection
    {
        return $this->splits->filter(fn (SlipSplitRow $split): bool => $split->code !== '');
    }

    /** What it comes to in the stock unit; null where what was typed is no number, or in no unit of the item. */
    public function amount(): ?BigDecimal
    {
        $typed = $this->typed === '' ? '0' : $this->typed;
        if (! is_numeric($typed)) {
            return null;
        }
        if ($this->typedUnit === '' || $this->typedUnit === $this->unit) {
            return BigDecimal::of($typed);
        }

        return $this->units->firstWhere('code', $this->typedUnit)?->inStockUnit(BigDecimal::of($typed));
    }

    /** Still to be named, less than none where too many are; null where nothing is to be. */
    public function left(): ?BigDecimal
    {
        $amount = $this->isTracked() ? $this->amount() : null;
        $named = $this->splits->map(fn (SlipSplitRow $split): BigDecimal => $split->named());

        return $amount?->minus(BigDecimal::sum(0, ...$named->all()));
    }

    public function isNamed(): bool
    {
        return $this->left()?->isZero() ?? true;
    }

    /** "2 still to be named" */
    public function leftSays(): string
    {
        $left = $this->left() ?? BigDecimal::zero();

        return match (true) {
            $left->isPositive() => Figures::amount((string) $left).' still to be named',
            $left->isNegative() => Figures::amount((string) $left->negated()).' named too many',
            $this->splits->isEmpty() => '',
            default => 'all named',
        };
    }
}
