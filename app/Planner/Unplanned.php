<?php

namespace App\Planner;

use App\Models\Plan;
use Illuminate\Support\Facades\DB;

/**
 * Bookings whose facts the live plan does not know yet. Each is written in its booking's own transaction, so one that
 * began earlier and commits later is found too; a planning takes out just those it read before it read the facts.
 */
final class Unplanned
{
    /** @return list<int> in the order they were made */
    public static function ids(): array
    {
        return array_values(DB::table('unplanned')->orderBy('booking_id')->pluck('booking_id')->all());
    }

    /** Under what the facts of now are known: the live plan's input, or '' when it does not know all of them. */
    public static function facts(): string
    {
        return DB::table('unplanned')->exists() ? '' : Plan::query()->findOrFail(Plan::LIVE)->input;
    }

    /** @param  list<int>  $bookings */
    public static function planned(array $bookings): void
    {
        foreach (array_chunk($bookings, 1000) as $ids) {
            DB::table('unplanned')->whereIn('booking_id', $ids)->delete();
        }
    }
}
