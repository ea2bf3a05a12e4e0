<?php

namespace App\Queries\Usage;

use App\Models\Plan;
use App\Models\Slip;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Released orders something can still be issued to, and the slips under way. */
final class SlipList
{
    private const SHOWN = 40;

    /** @return Collection<int, IssuableOrder> */
    public static function orders(): Collection
    {
        $orders = DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('order_components AS c', 'c.order_id', 'o.id')
            ->leftJoin(
                'plan_components AS p',
                fn (JoinClause $join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', Plan::LIVE),
            )
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->where('c.open_quantity', '>', 0)
            ->where('c.issue_by', 'hand')
            ->groupBy('o.id', 'o.number', 'o.due_on', 'o.rank', 'i.number', 'i.name', 'o.quantity', 'o.state')
            ->orderBy('o.rank')
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->select(['o.id', 'o.number', 'o.due_on', 'o.quantity', 'o.state'])
            ->addSelect(['i.number AS item_number', 'i.name AS item_name'])
            ->selectRaw('COUNT(*) AS open_lines, SUM(p.from_stock > 0) AS there_lines');

        return Row::all($orders, IssuableOrder::from(...));
    }

    /**
     * Open drafts, and those of the last days that were booked.
     *
     * @return Collection<int, ListedSlip>
     */
    public static function slips(): Collection
    {
        $slips = DB::table('slips AS s')
            ->join('people AS u', 'u.id', 's.changed_by')
            ->leftJoin('slip_lines AS l', fn (JoinClause $join) => $join
                ->on('l.slip_id', 's.id')
                ->where('l.is_out', false))
            ->leftJoin('orders AS o', 'o.id', 'l.order_id')
            ->where(fn (Builder $any) => $any
                ->where('s.state', Slip::OPEN)
                ->orWhere('s.updated_at', '>=', now()->subDay()))
            ->where('s.state', '<>', Slip::DROPPED)
            ->groupBy('s.id', 's.state', 's.note', 's.updated_at', 'u.name')
            ->orderByRaw('s.state <> ?', [Slip::OPEN])
            ->orderByDesc('s.id')
            ->limit(self::SHOWN)
            ->select(['s.id', 's.state', 's.note', 's.updated_at', 'u.name AS person'])
            ->selectRaw('COUNT(l.id) AS line_count, COUNT(DISTINCT l.order_id) AS order_count')
            ->selectRaw('MIN(o.number) AS first_order')
            ->selectRaw(
                'SUM(EXISTS (SELECT 1 FROM slip_splits p WHERE p.slip_line_id = l.id AND p.is_picked)) AS picked',
            );

        return Row::all($slips, ListedSlip::from(...));
    }
}
