<?php

namespace App\Jobs;

use App\Actions\Schedule\WhatIf;
use App\Models\Person;
use App\Planner\SearchCrew;
use App\Planner\SearchNews;
use App\Planner\SearchTask;
use App\Queries\Board\PlanComparison;
use App\Shop\Prepared;
use App\Shop\StandingPlan;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\MovePrice;
use KeepPace\Core\Scheduling\Plan\PlanCost;

/** Runs a search a person started, keeps its progress in its row, and writes what it found as a what-if. */
class RunSearch implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $timeout = 400;

    public int $tries = 1;

    public function __construct(public readonly int $searchId)
    {
    }

    public function handle(WhatIf $whatIf): void
    {
        $row = DB::table('searches')->where('id', $this->searchId)->first();
        if ($row === null || $row->state !== 'waiting') {
            return;
        }
        $facts = PlanComparison::facts();
        $task = self::task($row->moved_weight, $row->seed, $row->seconds);
        $stands = $task->stands();
        $before = PlanCost::standing($task->problem, $stands);
        $began = microtime(true);
        $this->keep([
            'state' => 'running',
            'started_at' => now(),
            'facts_id' => $facts,
            'cost_before' => $before,
            'late_before' => json_encode((object) $task->late($stands)),
        ]);
        $found = SearchCrew::run($task, SearchCrew::size(), $this->watch($began, $before));
        $ran = round(microtime(true) - $began, 1);
        $came = ['iterations' => $found->iterations, 'ran' => $ran];
        if (! $found->isBetter) {
            $this->end(['cost' => $before, ...$came]);

            return;
        }
        $plan = $whatIf->found(
            'Search of '.now(config()->string('pace.zone'))->format('H:i'),
            "{$ran} s, seed {$found->seed}, {$found->iterations} iterations.",
            Person::query()->whereKey($row->person_id)->firstOrFail(),
            $found->schedule->steps,
            $facts,
        );
        $came['late_now'] = json_encode((object) $task->late($found->schedule));
        $this->end(['plan_id' => $plan->id, 'cost' => $found->cost, ...$came]);
    }

    /** The plan as it is at this minute: what the clock has moved is no move of the search. */
    private static function task(int $movedWeight, int $seed, int $seconds): SearchTask
    {
        $standing = StandingPlan::of();
        [$problem, $stands] = $standing->loadNow($standing->shop(), StandingPlan::keeping($standing->steps()));
        $price = new MovePrice($movedWeight, Prepared::steps($problem, $stands->steps));

        return new SearchTask($problem, $stands->steps, $seed, $seconds, $price);
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

    /** @return \Closure(list<SearchNews>): bool */
    private function watch(float $began, int $before): \Closure
    {
        $course = new SearchCourse($before);

        return function (array $news) use ($began, $before, $course): bool {
            /** @var list<SearchNews> $news */
            $ran = microtime(true) - $began;
            $course->add($ran, $news);
            usort($news, fn (SearchNews $a, SearchNews $b): int => $a->cost <=> $b->cost);
            $this->keep([
                'cost' => min($before, $news[0]->cost),
                'iterations' => array_sum(array_map(fn (SearchNews $one): int => $one->iterations, $news)),
                'ran' => round($ran, 1),
                'course' => $course->json(),
                'late_now' => json_encode((object) $news[0]->late),
            ]);

            return ! (bool) DB::table('searches')->where('id', $this->searchId)->value('stop');
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
