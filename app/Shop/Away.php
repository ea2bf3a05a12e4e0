<?php

namespace App\Shop;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/**
 * Handfuls of pieces that are at a supplier: each was sent on its own day and has a day on which it is to be back.
 * What was sent first comes back first, so what is away is the newest of what was sent.
 */
final class Away
{
    /** @return array<int, list<Handful>> by step, oldest first */
    public static function all(Deliveries $deliveries): array
    {
        return self::read(self::handfuls(), $deliveries);
    }

    /**
     * @param  iterable<int>  $steps
     * @return array<int, list<Handful>> by step, oldest first
     */
    public static function of(iterable $steps, Deliveries $deliveries): array
    {
        return self::read(self::handfuls()->whereIn('h.order_step_id', collect($steps)), $deliveries);
    }

    /** @return array<int, list<Handful>> */
    private static function read(Builder $query, Deliveries $deliveries): array
    {
        $handfuls = [];
        foreach ($query->orderBy('h.id')->get() as $row) {
            $back = $deliveries->back($row->back_at, $row->ask_again_on);
            $handfuls[$row->order_step_id][] = new Handful(
                $row->id,
                $row->away,
                $back,
                $row->days_passed + ($back->isLate() ? 1 : 0),
                $row->ask_again_on,
            );
        }

        return $handfuls;
    }

    /** Rows with id, order_step_id, away (pieces), sent_at, back_at, first_back_at, days_passed, ask_again_on. */
    public static function handfuls(): Builder
    {
        $sent = DB::table('consignments AS c')
            ->join('order_steps AS s', 's.id', 'c.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->select([
                'c.id', 'c.order_step_id', 'c.quantity', 'c.sent_at', 'c.back_at', 'c.first_back_at', 'c.days_passed',
                'c.ask_again_on',
            ])
            ->selectRaw('s.taken_in - s.good - s.scrap - COALESCE(SUM(c.quantity) OVER (PARTITION BY c.order_step_id
                ORDER BY c.id DESC ROWS BETWEEN UNBOUNDED PRECEDING AND 1 PRECEDING), 0) AS most');

        return DB::query()->fromSub($sent, 'h')->where('h.most', '>', 0)
            ->select(['h.*'])->selectRaw('LEAST(h.quantity, h.most) AS away');
    }
}
