<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** An open order that components lie in. */
final readonly class HoldingOrder
{
    private const SHOWN = 200;

    /**
     * @param  int  $components  kinds of them that were issued
     * @param  int  $over  of these, more was issued than is planned
     * @param  int  $value  cents of all that was issued
     */
    private function __construct(
        public string $number,
        public string $item,
        public string $itemNumber,
        public OrderState $state,
        public bool $isHeld,
        public int $components,
        public int $over,
        public int $value,
    ) {
    }

    /** @return Collection<int, self> those with more than is planned first */
    public static function all(): Collection
    {
        $orders = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->whereIn('o.state', [...OrderState::IN_THE_SHOP, OrderState::Built])
            ->where('o.closed_at', null)
            ->where('c.used_quantity', '>', 0)
            ->groupBy('o.id', 'o.number', 'o.state', 'o.is_held', 'i.name', 'i.number')
            ->orderByDesc('over_planned')
            ->orderBy('o.number')
            ->orderBy('o.id')
            ->limit(self::SHOWN)
            ->select(['o.number', 'o.state', 'o.is_held', 'i.name AS item', 'i.number AS item_number'])
            ->selectRaw('COUNT(*) AS components, SUM(c.used_value) AS value')
            ->selectRaw('SUM(c.used_quantity > c.planned_quantity) AS over_planned');

        return Row::all($orders, fn (Row $row): self => new self(
            $row->text('number'),
            $row->text('item'),
            $row->text('item_number'),
            $row->enum('state', OrderState::class),
            $row->flag('is_held'),
            $row->int('components'),
            $row->int('over_planned'),
            $row->int('value'),
        ));
    }
}
