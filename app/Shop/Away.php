<?php

namespace App\Shop;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Handfuls of pieces that are at a supplier: each is a line of a consignment, was sent on its own day and has a day on
 * which it is to be back.
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
        return self::read(self::handfuls()->whereIn('h.order_step_id', [...$steps]), $deliveries);
    }

    /** @return array<int, list<Handful>> */
    private static function read(Builder $query, Deliveries $deliveries): array
    {
        $handfuls = [];
        foreach (Row::all($query->orderBy('h.id'), fn (Row $row): Row => $row) as $row) {
            $handfuls[$row->int('order_step_id')][] = Handful::from($row, $deliveries);
        }

        return $handfuls;
    }

    /** Pieces of a step that are with its supplier. */
    public static function pieces(int $step): BigDecimal
    {
        return Row::sum(DB::table('consignment_lines')->where('order_step_id', $step), 'there');
    }

    /** Rows with id, consignment_id, order_step_id, number, away (pieces), and what is known of their day back. */
    public static function handfuls(): Builder
    {
        return DB::table('consignment_lines AS h')
            ->join('consignments AS k', 'k.id', 'h.consignment_id')
            ->where('h.there', '>', 0)
            ->whereNotNull('h.order_step_id')
            ->select([
                'h.id', 'h.consignment_id', 'h.order_step_id', 'k.number', 'h.there AS away', 'h.sent_at', 'h.back_at',
                'h.first_back_at', 'h.days_passed', 'h.ask_again_on',
            ]);
    }
}
