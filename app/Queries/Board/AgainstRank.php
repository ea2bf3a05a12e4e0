<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** Orders a plan makes later so that one that stands behind them in rank is sooner: never unseen. */
final class AgainstRank
{
    /** So many are named. */
    private const NAMED = 3;

    /**
     * @param  array<int, int>  $before  open minutes late by order, only those late
     * @param  array<int, int>  $after
     * @return string "Against the rank: 231 is later for 240, which stands behind it."; '' = none is
     */
    public static function says(array $before, array $after): string
    {
        $orders = DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->where('p.plan_id', Plan::LIVE)
            ->whereIn('o.id', array_keys($before + $after))
            ->orderBy('p.place_in_rank')
            ->select(['o.id', 'o.number']);
        $later = $says = [];
        foreach (Row::all($orders, fn (Row $row): Row => $row) as $row) {
            $more = ($after[$row->int('id')] ?? 0) - ($before[$row->int('id')] ?? 0);
            if ($more < 0 && $later !== []) {
                $behind = count($later) === 1 ? 'it' : 'them';
                $says[] = implode(', ', $later).(count($later) === 1 ? ' is' : ' are')
                    ." later for {$row->text('number')}, which stands behind {$behind}";
                $later = [];
            }
            $more <= 0 ?: $later[] = $row->text('number');
        }
        $named = implode('; ', array_slice($says, 0, self::NAMED));

        return $says === [] ? '' : "Against the rank: {$named}".(count($says) > self::NAMED ? '; and others.' : '.');
    }
}
