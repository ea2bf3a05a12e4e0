<?php

namespace App\Queries\Usage;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** Released orders something can still be issued to, and the slips under way. */
final class SlipList
{
    /** @return Collection<int, \stdClass> */
    public static function orders(): Collection
    {
        return DB::table('orders AS o')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('order_components AS c', 'c.order_id', 'o.id')
            ->leftJoin(
                'plan_components AS p',
                fn ($join) => $join->on('p.component_id', 'c.id')->where('p.plan_id', \App\Models\Plan::LIVE),
            )
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->whereRaw('c.used_quantity + c.replaced_quantity < c.planned_quantity')
            ->where('c.issue_by', 'hand')
            ->groupBy('o.id', 'o.number', 'o.due_on', 'o.rank', 'i.number', 'i.name', 'o.quantity', 'o.state')
            ->orderBy('o.rank')
            ->orderBy('o.due_on')
            ->orderBy('o.id')
            ->select([
                'o.id',
                'o.number',
                'o.due_on',
                'o.quantity',
                'o.state',
                'i.number AS item_number',
                'i.name AS item_name',
            ])
            ->selectRaw(
                'COUNT(*) AS open_lines, SUM(p.from_stock > 0) AS there_lines, MIN(c.step_number) AS first_step',
            )
            ->get();
    }

    /** Open drafts, and those of the last days that were booked. @return Collection<int, \stdClass> */
    public static function slips(): Collection
    {
        $rows = DB::table('slips AS s')
            ->join('people AS u', 'u.id', 's.changed_by')
            ->where(fn ($any) => $any->where('s.state', 'open')->orWhere('s.updated_at', '>=', now()->subDay()))
            ->where('s.state', '<>', 'dropped')
            ->orderByRaw("s.state <> 'open'")
            ->orderByDesc('s.id')
            ->limit(40)
            ->get([
                's.id',
                's.state',
                's.part',
                's.step_number',
                's.note',
                's.booking_id',
                's.updated_at',
                'u.name AS person',
            ]);
        $lines = DB::table('slip_lines AS l')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->whereIn('l.slip_id', $rows->pluck('id'))
            ->where('l.is_out', false)
            ->groupBy('l.slip_id')
            ->selectRaw(
                'l.slip_id, COUNT(*) AS line_count, COUNT(DISTINCT l.order_id) AS order_count,
                MIN(o.number) AS first_order,
                SUM(EXISTS (SELECT 1 FROM slip_splits p WHERE p.slip_line_id = l.id AND p.is_picked)) AS picked',
            )
            ->get()
            ->keyBy('slip_id');
        foreach ($rows as $row) {
            $row->line_count = (int) ($lines[$row->id]->line_count ?? 0);
            $row->order_count = (int) ($lines[$row->id]->order_count ?? 0);
            $row->first_order = $lines[$row->id]->first_order ?? '';
            $row->picked = (int) ($lines[$row->id]->picked ?? 0);
        }

        return $rows;
    }
}
