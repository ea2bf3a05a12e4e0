<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Loading\Loading;
use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;

/**
 * Finite loading forward from now, job by job: by rank, then due date, then id, each step in the first gap it fits in.
 * A job of better rank is never moved by one of lesser rank.
 */
final class ForwardLoading
{
    /** @param  array<int, PlannedStep>  $was  by step id: what runs keeps its machine */
    public static function load(Problem $problem, array $was = []): Schedule
    {
        $net = Net::of($problem);

        $running = array_flip(array_map(static fn (Step $step): int => $step->id,
            array_filter($net->step, static fn (Step $step): bool => $step->started)));

        return Loading::load($net, self::order($net), array_intersect_key($was, $running), true);
    }

    /** @return list<int> operations, each job behind those it needs */
    public static function order(Net $net): array
    {
        $jobs = array_keys($net->jobs);
        usort($jobs, static fn (int $a, int $b): int => [$net->jobs[$a]->rank, $net->due[$a], $net->jobs[$a]->id]
            <=> [$net->jobs[$b]->rank, $net->due[$b], $net->jobs[$b]->id]);
        $order = $done = [];
        $take = static function (int $job) use ($net, &$take, &$order, &$done): void {
            if (isset($done[$job])) {
                return;
            }
            $done[$job] = true;
            foreach ($net->operations[$job] as $operation) {
                foreach ($net->before[$operation] as $other) {
                    $take($net->job[$other]);
                }
            }
            array_push($order, ...$net->operations[$job]);
        };
        foreach ($jobs as $job) {
            $take($job);
        }

        return $order;
    }
}
