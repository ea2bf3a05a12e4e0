<?php

namespace App\Shop;

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
        foreach (self::rows() as $row) {
            foreach ($row->jobs as $job) {
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
                $jobs[] = new Job($job['id'], "promise {$row->id}", self::RANK, null, $steps);
            }
        }

        return $jobs;
    }

    /** @return array<int, PlannedStep> where they stand, by step id */
    public static function planned(): array
    {
        $planned = [];
        foreach (self::rows() as $row) {
            foreach ($row->jobs as $job) {
                foreach ($job['steps'] as $step) {
                    $planned[$step['id']] = new PlannedStep(
                        $step['start'],
                        $step['end'],
                        $step['machine'],
                        $step['centre'],
                    );
                }
            }
        }

        return $planned;
    }

    /** @return list<\stdClass> those still held, with ->jobs as arrays */
    public static function rows(): array
    {
        return array_values(
            DB::table('promises')
                ->whereNull('released_at')
                ->where('held_until', '>', now())
                ->orderBy('id')
                ->get()
                ->each(function (\stdClass $row): void {
                    $row->jobs = json_decode($row->jobs, true);
                })
                ->all(),
        );
    }
}
