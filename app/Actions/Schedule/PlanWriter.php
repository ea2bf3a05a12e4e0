<?php

namespace App\Actions\Schedule;

use App\Models\Plan;
use App\Queries\Board\KeptInput;
use App\Queries\Board\PlanComparison;
use App\Queries\Shop\HeldPromises;
use App\Queries\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/** Writes a plan: what differs from what stands there. The plan's row is locked by whoever calls. */
final class PlanWriter
{
    /**
     * @param  Collection<int, \stdClass>|null  $there  the steps that stand there, if they were read before
     * @param  bool  $sameFacts  since it was last written no fact changed: of components only the times of parts made
     *     here can differ
     * @return array{late: array<int, int>, saved: list<int>} orders that became late, with minutes, and those in time
     *     again
     */
    public function write(
        Plan $plan,
        ShopState $shop,
        Problem $problem,
        Schedule $schedule,
        ?Collection $there = null,
        bool $sameFacts = false,
    ): array {
        $rows = new PlanRows($plan->id, $shop, $problem, $schedule);
        $effect = $this->rows($plan->id, $rows, $there === null ? null : clone $there, $sameFacts);
        $plan->stamp = Str::random(20);
        $plan->computed_at = CarbonImmutable::createFromTimestamp($problem->now * 60, 'UTC');
        if ($sameFacts) {
            $plan->save();

            return $effect; // what it was computed from stands as it is kept
        }
        $old = $plan->input;
        $plan->input = $plan->stamp;
        $plan->save();
        $input = new KeptInput($shop, $problem, PlanComparison::facts());
        DB::afterCommit(function () use ($plan, $input, $old): void {
            Cache::forget(KeptInput::key($old));
            Cache::put(KeptInput::key($plan->input), $input, now()->addDays(3));
        });

        return $effect;
    }

    /**
     * @param  Collection<int, \stdClass>|null  $there
     * @return array{late: array<int, int>, saved: list<int>}
     */
    private function rows(int $plan, PlanRows $rows, ?Collection $there, bool $sameFacts): array
    {
        $orders = $rows->orders();
        $components = $rows->components($sameFacts);
        $was = DB::table('plan_orders')->where('plan_id', $plan)->get()->keyBy('order_id');
        $effect = self::effect($was, $orders);
        $this->bring('plan_orders', 'order_id', $plan, $orders, $was);
        $this->bring('plan_steps', 'order_step_id', $plan, $rows->steps(), $there);
        $written = $sameFacts
            ? DB::table('plan_components')
                ->where('plan_id', $plan)
                ->whereIn('component_id', array_column($components, 'component_id'))
                ->get()
                ->keyBy('component_id')
            : null;
        $this->bring('plan_components', 'component_id', $plan, $components, $written);
        if ($plan === Plan::LIVE) {
            $this->promises($rows->schedule);
        }

        return $effect;
    }

    /**
     * @param  Collection<int, \stdClass>  $was
     * @param  list<array<string, mixed>>  $orders
     * @return array{late: array<int, int>, saved: list<int>}
     */
    private static function effect(Collection $was, array $orders): array
    {
        $effect = ['late' => [], 'saved' => []];
        foreach ($orders as $order) {
            $before = isset($was[$order['order_id']]) ? (int) $was[$order['order_id']]->late_minutes : null;
            if ($before !== null && $before <= 0 && $order['late_minutes'] > 0) {
                $effect['late'][$order['order_id']] = $order['late_minutes'];
            } elseif ($before > 0 && $order['late_minutes'] <= 0 && $order['finish_at'] !== null) {
                $effect['saved'][] = $order['order_id'];
            }
        }

        return $effect;
    }

    /** Keeps in mind where the time held for promises stands now. */
    private function promises(Schedule $schedule): void
    {
        foreach (HeldPromises::rows() as $row) {
            $jobs = $row->jobs;
            foreach ($jobs as $j => $job) {
                foreach ($job['steps'] as $s => $step) {
                    $at = $schedule->steps[$step['id']] ?? null;
                    if ($at !== null) {
                        $jobs[$j]['steps'][$s] = [
                            ...$step,
                            'start' => $at->start,
                            'end' => $at->end,
                            'machine' => $at->machine,
                        ];
                    }
                }
            }
            if ($jobs !== $row->jobs) {
                DB::table('promises')->where('id', $row->id)->update(['jobs' => json_encode($jobs)]);
            }
        }
    }

    /**
     * Writes what differs from what stands there and takes out what is over: most of a plan stays as it was.
     *
     * @param  list<array<string, mixed>>  $rows  all with the same columns
     * @param  Collection<int, \stdClass>|null  $there  what stands there, by key, if it was read before
     */
    private function bring(string $table, string $key, int $plan, array $rows, ?Collection $there = null): void
    {
        $there ??= DB::table($table)->where('plan_id', $plan)->get()->keyBy($key);
        $changed = [];
        foreach ($rows as $row) {
            $old = $there[$row[$key]] ?? null;
            unset($there[$row[$key]]);
            foreach ($old === null ? [] : $row as $column => $value) {
                if ((string) $old->{$column} !== (is_bool($value) ? (string) (int) $value : (string) $value)) {
                    $old = null;
                    break;
                }
            }
            if ($old === null) {
                $changed[] = $row;
            }
        }
        foreach (array_chunk($there->pluck('id')->all(), 1000) as $ids) {
            DB::table($table)->whereIn('id', $ids)->delete();
        }
        foreach (array_chunk($changed, 500) as $chunk) {
            DB::table($table)->upsert($chunk, ['plan_id', $key]);
        }
    }
}
