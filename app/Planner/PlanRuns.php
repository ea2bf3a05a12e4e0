<?php

namespace App\Planner;

use Illuminate\Support\Facades\DB;

/** What a planning did to the dates, and by which bookings: kept where it did something. */
final class PlanRuns
{
    /** @param  list<int>  $bookings */
    public static function keep(PlanDraft $draft, array $bookings): void
    {
        if ($bookings === [] || ! $draft->hasEffect()) {
            return;
        }
        $run = DB::table('plan_runs')->insertGetId([
            'made_at' => now(),
            'late' => json_encode((object) $draft->late),
            'saved' => json_encode($draft->saved),
        ]);
        foreach (array_chunk($bookings, 1000) as $ids) {
            DB::table('plan_run_bookings')->insert(array_map(
                fn (int $id): array => ['booking_id' => $id, 'plan_run_id' => $run],
                $ids,
            ));
        }
    }
}
