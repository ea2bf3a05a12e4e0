<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use App\Wording\Figures;
use App\Wording\When;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** An open order, or a purchase that is to come, of which something is promised to nobody. */
final readonly class TieCandidate
{
    /** @param  string  $key  "order-5" or "purchase-7", as it is sent */
    private function __construct(
        public string $key,
        public int $itemId,
        private string $number,
        public BigDecimal $free,
        private string $when,
    ) {
    }

    /**
     * @param  Collection<int, int>  $items
     * @return Collection<int, Collection<int, self>> by item: orders by their due dates, then purchases by their days
     */
    public static function ofItems(Collection $items): Collection
    {
        return Row::all(self::orders($items), self::order(...))
            ->concat(self::purchasesOf($items))
            ->groupBy('itemId');
    }

    /**
     * @param  Collection<int, int>  $items
     * @return Collection<int, self>
     */
    public static function purchasesOf(Collection $items): Collection
    {
        return Row::all(self::purchases($items), self::purchase(...));
    }

    /** "218, 4 not promised, due Thu" */
    public function says(): string
    {
        return "{$this->number}, ".Figures::amount($this->free)." not promised, {$this->when}";
    }

    private static function order(Row $row): self
    {
        return new self(
            "order-{$row->int('id')}",
            $row->int('item_id'),
            $row->text('number'),
            $row->decimal('free'),
            'due '.When::day($row->textOrNull('due_on')),
        );
    }

    private static function purchase(Row $row): self
    {
        return new self(
            "purchase-{$row->int('id')}",
            $row->int('item_id'),
            $row->text('number'),
            $row->decimal('free'),
            $row->flag('is_draft') ? 'a draft' : 'expected '.When::day($row->text('expected_on')),
        );
    }

    /** @param  Collection<int, int>  $items */
    private static function orders(Collection $items): Builder
    {
        return DB::table('order_outputs AS u')
            ->join('orders AS o', 'o.id', 'u.order_id')
            ->whereIn('u.item_id', $items)
            ->where('u.is_open', true)
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->whereIn('o.state', OrderState::OPEN)
            ->select(['o.id', 'o.number', 'u.item_id', 'o.due_on'])
            ->selectRaw(
                'u.planned_quantity - u.received_quantity - u.given_up_quantity
                - (SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.output_id = u.id AND t.is_hard) AS free',
            )
            ->having('free', '>', 0);
    }

    /** @param  Collection<int, int>  $items */
    private static function purchases(Collection $items): Builder
    {
        return DB::table('purchase_lines AS l')
            ->whereIn('l.item_id', $items)
            ->orderBy('l.is_draft')
            ->orderBy('l.expected_on')
            ->orderBy('l.id')
            ->select(['l.id', 'l.number', 'l.item_id', 'l.expected_on', 'l.is_draft'])
            ->selectRaw(
                'l.quantity - l.received_quantity - l.cancelled_quantity
                - (SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.purchase_line_id = l.id) AS free',
            )
            ->having('free', '>', 0);
    }
}
