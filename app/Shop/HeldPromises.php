<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Job;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Step;

/**
 * The capacity that promised dates keep while they are held. Their jobs and steps are numbered below zero, so that they
 * meet no order: what a promise holds is time on machines, not stock.
 */
final class HeldPromises
{
    /** Behind all orders, as when it was asked for. */
    public const RANK = 9999;

    /** @return list<Job> */
    public static function jobs(int $now): array
    {
        $jobs = [];
        foreach (self::all() as $promise) {
            foreach ($promise->jobs as $job) {
                $steps = array_map(
                    static fn (array $step): Step => new Step(
                        $step['id'],
                        $step['centre'],
                        $step['run'],
                        $step['wait'],
                        $step['move'],
                        $step['material'],
                        $step['after'],
                        setup: $step['setup'],
                        setupNeedsMaterial: true,
                    ),
                    $job['steps'],
                );
                $jobs[] = new Job($job['id'], "promise {$promise->id}", self::RANK, null, $steps);
            }
        }

        return $jobs;
    }

    /** @return array<int, PlannedStep> where they stand, by step id */
    public static function planned(): array
    {
        $planned = [];
        foreach (self::all() as $promise) {
            foreach ($promise->steps() as $step) {
                [$start, $end] = [$step['start'], $step['end']];
                $planned[$step['id']] = new PlannedStep($start, $end, $step['machine'], $step['centre']);
            }
        }

        return $planned;
    }

    /** @return list<HeldPromise> those still held */
    public static function all(): array
    {
        $held = DB::table('promises')->whereNull('released_at')->where('held_until', '>', now())->orderBy('id');

        return array_values(Row::all($held->select(['id', 'for', 'jobs']), HeldPromise::from(...))->all());
    }
}
