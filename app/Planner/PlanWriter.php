<?php

namespace App\Planner;

use App\Models\Plan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Writes what differs of a plan. The plan's row is locked by whoever calls. */
final class PlanWriter
{
    private const KEYS = [
        'plan_orders' => 'order_id',
        'plan_steps' => 'order_step_id',
        'plan_components' => 'component_id',
    ];

    public function write(Plan $plan, PlanDraft $draft): void
    {
        foreach (self::KEYS as $table => $key) {
            foreach (array_chunk($draft->over[$table], 1000) as $ids) {
                DB::table($table)->whereIn('id', $ids)->delete();
            }
            foreach (array_chunk($draft->rows[$table], 500) as $rows) {
                DB::table($table)->upsert($rows, ['plan_id', $key]);
            }
        }
        foreach ($draft->promises as $promise => $jobs) {
            DB::table('promises')
                ->where('id', $promise)
                ->update(['jobs' => $jobs]);
        }
        $plan->stamp = Str::random(20);
        $plan->computed_at = CarbonImmutable::createFromTimestamp($draft->minute * 60, 'UTC');
        if ($draft->input !== null) {
            $plan->input = $plan->stamp;
            DB::table('plan_inputs')->upsert([[
                'plan_id' => $plan->id,
                // of the live plan the facts are its own, read just now
                'facts' => $plan->id === Plan::LIVE ? $plan->input : $draft->input->facts,
                'packed' => $draft->input->packed(),
            ]], ['plan_id']);
        }
        $plan->save();
    }
}
