<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** A component of an open order, part by part: needed, used, allocated, on hand, coming, short. */
final readonly class PartsRow
{
    /**
     * @param  list<Coming>  $coming
     * @param  string  $made  the item of the order
     */
    private function __construct(
        public int $orderId,
        public string $order,
        public OrderState $state,
        public bool $isHeld,
        public string $made,
        public PlanReadiness $readiness,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public int $step,
        public BigDecimal $planned,
        public BigDecimal $used,
        public BigDecimal $fromStock,
        public BigDecimal $onHand,
        public BigDecimal $missing,
        public array $coming,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('order_id'),
            $row->text('order_number'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->text('made'),
            PlanReadiness::from($row),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->int('step_number'),
            $row->decimal('planned_quantity'),
            $row->decimal('used_quantity'),
            $row->decimalOrZero('from_stock'),
            $row->decimalOrZero('on_hand'),
            $row->decimalOrZero('missing'),
            Coming::all($row->textOrNull('coming') ?? '[]'),
        );
    }
}
