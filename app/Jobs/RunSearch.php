<?php

namespace App\Jobs;

use App\Actions\Schedule\WhatIf;
use App\Models\Person;
use App\Queries\Board\PlanComparison;
use App\Shop\StandingPlan;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Plan\ScheduleSearch;

/** Runs a search a person started, keeps its progress in its row, and writes what it found as a what-if. */
class RunSearch implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $timeout = 400;

    public int $tries = 1;

    /** Iterations are limited by time; this many are never reached. */
    private const ENOUGH = 100_000_000;

    public function __construct(public readonly int $searchId)
    {
    }

    public function handle(WhatIf $whatIf): void
    {
        $row = DB::table('searches')->where('id', $this->searchId)->first();
        if ($row === null || $row->state !== 'waiting') {
            return;
        }
        $standing = StandingPlan::of();
        $facts = PlanComparison::facts();
        [$problem, $schedule] = $standing->loadNow($standing->shop(), StandingPlan::keeping($standing->steps()));
        $began = microtime(true);
        $this->keep(['state' => 'running', 'started_at' => now(), 'facts_id' => $facts]);
        $before = Comparison::between($problem, $schedule, $schedule)->totalBefore();
        $goOn = $this->watch($began, $row->seconds, $before);
        // the plan as it is at this minute: what the clock has moved is no move of the search
        $found = ScheduleSearch::solve($problem, $schedule->steps, $row->seed, self::ENOUGH, $goOn, $row->moved_weight);
        $ran = round(microtime(true) - $began, 1);
        $came = ['cost_before' => $before, 'iterations' => $found->iterations, 'ran' => $ran];
        if (! $found->isBetter) {
            $this->end(['cost' => $before, ...$came]);

            return;
        }
        $plan = $whatIf->found(
            'Search of '.now(config()->string('pace.zone'))->format('H:i'),
            "{$ran} s, seed {$found->seed}, {$found->iterations} iterations.",
            Person::query()->findOrFail($row->user_id),
            $found->schedule->steps,
            $facts,
        );
        $this->end(['plan_id' => $plan->id, 'cost' => $found->cost, ...$came]);
    }

    /** @param  array<string, mixed>  $values */
    private function end(array $values): void
    {
        $isStopped = (bool) DB::table('searches')->where('id', $this->searchId)->value('stop');
        $this->keep([...$values, 'state' => $isStopped ? 'stopped' : 'done']);
    }

    public function failed(\Throwable $failure): void
    {
        $this->keep(['state' => 'failed']);
    }

    /** @return \Closure(int, int): bool */
    private function watch(float $began, int $seconds, int $before): \Closure
    {
        $next = 0.0;

        return function (int $cost, int $iterations) use ($began, $seconds, $before, &$next): bool {
            $ran = microtime(true) - $began;
            if ($ran >= $next) {
                $next = $ran + 0.4;
                $this->keep([
                    'cost' => $cost,
                    'cost_before' => $before,
                    'iterations' => $iterations,
                    'ran' => round($ran, 1),
                ]);
                if ((bool) DB::table('searches')->where('id', $this->searchId)->value('stop')) {
                    return false;
                }
            }

            return $ran < $seconds;
        };
    }

    /** @param  array<string, mixed>  $values */
    private function keep(array $values): void
    {
        DB::connection(config()->string('pace.progress_connection'))
            ->table('searches')
            ->where('id', $this->searchId)
            ->update([...$values, 'updated_at' => now()]);
    }
}
