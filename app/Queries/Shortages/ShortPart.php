<?php

namespace App\Queries\Shortages;

use App\Queries\Orders\Coming;
use App\Reading\Row;
use App\Shop\LeadTime;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use KeepPace\Core\Planning\LotSize;
use KeepPace\Core\Planning\LotSizing;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Structure\ItemKind;

/** A component of an open order that is short, comes too late, or was missing when the order was released. */
final readonly class ShortPart
{
    /**
     * @param  int  $id  of the component
     * @param  BigDecimal  $fromStock  given to it of what lies there
     * @param  list<Coming>  $coming
     * @param  string|null  $orderBy  day by which it has to be ordered; null = it holds up no date
     * @param  CarbonImmutable|null  $neededAt  the latest it could be used for its late order to keep its date
     * @param  string|null  $hurts  UTC time at which its step is planned to start
     */
    private function __construct(
        public int $id,
        public int $orderId,
        public string $order,
        public OrderState $orderState,
        public int $orderVersion,
        public ?string $dueOn,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public ItemKind $kind,
        public string $unit,
        public ?string $supplier,
        public LeadTime $lead,
        public LotSize $lots,
        public int $step,
        public BigDecimal $missing,
        public BigDecimal $fromStock,
        public array $coming,
        public ?string $orderBy,
        public ?CarbonImmutable $neededAt,
        public ?string $hurts,
        public ?int $lateMinutes,
        public int $placeInRank,
    ) {
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->text('order_number'),
            $row->enum('state', OrderState::class),
            $row->int('version'),
            $row->textOrNull('due_on'),
            $row->int('item_id'),
            $row->text('item_name'),
            $row->text('item_number'),
            $row->enum('kind', ItemKind::class),
            $row->text('unit'),
            $row->textOrNull('supplier'),
            LeadTime::from($row),
            new LotSize(
                $row->enum('lot_sizing', LotSizing::class),
                $row->decimal('lot_quantity'),
                $row->decimal('lot_least'),
            ),
            $row->int('step_number'),
            $row->decimal('missing'),
            $row->decimal('from_stock'),
            Coming::all($row->text('coming')),
            $row->textOrNull('order_by'),
            $row->momentOrNull('needed_at'),
            $row->textOrNull('hurts'),
            $row->intOrNull('late_minutes'),
            $row->int('place_in_rank'),
        );
    }

    /** @return list<Coming>  of what suppliers bring, what can be used too late for its order to keep its date */
    public function tooLate(): array
    {
        return array_values(array_filter(
            $this->coming,
            fn (Coming $one): bool => $one->by->isPurchase()
                && $this->neededAt !== null
                && ! $one->comesBy($this->neededAt),
        ));
    }

    public function isTooLateToOrder(string $today): bool
    {
        return $this->orderBy !== null && $this->orderBy < $today;
    }

    /** What it misses, as far as another order has been given of it. */
    public function couldTakeFrom(self $other): BigDecimal
    {
        return BigDecimal::min($this->missing, $other->fromStock);
    }
}
