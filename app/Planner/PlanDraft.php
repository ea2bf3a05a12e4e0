<?php

namespace App\Planner;

use App\Models\Plan;
use App\Shop\HeldPromises;
use App\Shop\KeptInput;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * What differs between a plan as it is written and a schedule: read and worked out, nothing written yet. It holds as
 * long as the plan bears the stamp it was read with.
 */
final class PlanDraft
{
    public readonly string $stamp;

    /** @var array<string, list<array<string, mixed>>> rows to be written, by table */
    public array $rows = [];

    /** @var array<string, list<int>> ids of rows that are over, by table */
    public array $over = [];

    /** @var array<int, string> where the time held for promises stands, as json, by promise */
    public array $promises = [];

    /** @var array<int, int> orders that became late, with minutes */
    public array $late = [];

    /** @var list<int> orders in time again */
    public array $saved = [];

    /** What it was computed from, when the facts were read anew. */
    public ?KeptInput $input = null;

    /** @param  int  $minute  of the clock it was computed at */
    private function __construct(private readonly Plan $plan, public readonly int $minute)
    {
        $this->stamp = $plan->stamp;
    }

    /**
     * @param  StandingPlan|null  $standing  the plan as it stands, if its steps were read before
     * @param  string|null  $facts  the live plan's input when the shop was read; null = read before, and no fact
     *     changed since: of components only the times of parts made here can differ
     */
    public static function of(
        Plan $plan,
        ShopState $shop,
        Problem $problem,
        Schedule $schedule,
        ?string $facts,
        ?StandingPlan $standing = null,
    ): self {
        $draft = new self($plan, $problem->now);
        $rows = new PlanRows($plan->id, $shop, $problem, $schedule);
        $draft->compare($rows, $standing ?? StandingPlan::of($plan->id), $facts === null);
        $draft->input = $facts === null ? null : KeptInput::of($shop, $problem, $facts);

        return $draft;
    }

    public function hasEffect(): bool
    {
        return $this->late !== [] || $this->saved !== [];
    }

    private function compare(PlanRows $rows, StandingPlan $standing, bool $sameFacts): void
    {
        $orders = $rows->orders();
        $components = $rows->components($sameFacts);
        $was = $this->there('plan_orders', 'order_id');
        $this->effect($was, $orders);
        $this->differing('plan_orders', 'order_id', $orders, $was);
        $this->rows['plan_steps'] = $rows->moved($standing->steps());
        $this->over['plan_steps'] = array_values(array_diff_key($standing->rows(), $rows->schedule->steps));
        $written = $this->there(
            'plan_components',
            'component_id',
            $sameFacts ? array_column($components, 'component_id') : null,
        );
        $this->differing('plan_components', 'component_id', $components, $written);
        if ($this->plan->id === Plan::LIVE) {
            $this->promised($rows->schedule);
        }
    }

    /**
     * @param  list<int>|null  $only  null = all
     * @return array<int, array<string, mixed>> what stands there, by key
     */
    private function there(string $table, string $key, ?array $only = null): array
    {
        return DB::table($table)
            ->where('plan_id', $this->plan->id)
            ->when($only !== null, fn ($rows) => $rows->whereIn($key, $only ?? []))
            ->get()
            ->map(fn (object $row): array => (array) $row)
            ->keyBy($key)
            ->all();
    }

    /**
     * @param  array<int, array<string, mixed>>  $was
     * @param  list<array<string, mixed>>  $orders
     */
    private function effect(array $was, array $orders): void
    {
        foreach ($orders as $order) {
            $before = isset($was[$order['order_id']]) ? (int) $was[$order['order_id']]['late_minutes'] : null;
            if ($before !== null && $before <= 0 && $order['late_minutes'] > 0) {
                $this->late[$order['order_id']] = $order['late_minutes'];
            } elseif ($before > 0 && $order['late_minutes'] <= 0 && $order['finish_at'] !== null) {
                $this->saved[] = $order['order_id'];
            }
        }
    }

    /** Where the time held for promises stands now. */
    private function promised(Schedule $schedule): void
    {
        foreach (HeldPromises::all() as $promise) {
            $jobs = $promise->jobs;
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
            if ($jobs !== $promise->jobs) {
                $this->promises[$promise->id] = json_encode($jobs, JSON_THROW_ON_ERROR);
            }
        }
    }

    /**
     * What differs from what stands there, and what is over: most of a plan stays as it was.
     *
     * @param  list<array<string, mixed>>  $rows  all with the same columns
     * @param  array<int, array<string, mixed>>  $there  by key
     */
    private function differing(string $table, string $key, array $rows, array $there): void
    {
        $this->rows[$table] = [];
        foreach ($rows as $row) {
            $old = $there[$row[$key]] ?? null;
            unset($there[$row[$key]]);
            foreach ($old === null ? [] : $row as $column => $value) {
                if ((string) ($old[$column] ?? '') !== (is_bool($value) ? (string) (int) $value : (string) $value)) {
                    $old = null;
                    break;
                }
            }
            if ($old === null) {
                $this->rows[$table][] = $row;
            }
        }
        $this->over[$table] = array_column($there, 'id');
    }
}
