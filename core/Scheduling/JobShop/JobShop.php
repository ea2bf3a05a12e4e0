<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

use KeepPace\Core\Refused;

/**
 * The classical job shop: each job visits machines in its own order, a machine takes one operation at a time, nothing
 * is interrupted, all may start at 0. Operations are numbered job by job.
 */
final readonly class JobShop
{
    /**
     * @param  list<int>  $machine  by operation
     * @param  list<int>  $time  by operation, 0 or more
     * @param  list<int>  $jobOf  by operation
     */
    private function __construct(public int $machines, public array $machine, public array $time, public array $jobOf)
    {
    }

    /**
     * @param  list<list<array{int, int}>>  $jobs  machine from 0 and time, in the order of the job
     *
     * @throws Refused when a machine number or a time is impossible
     */
    public static function of(int $machines, array $jobs): self
    {
        $machine = $time = $jobOf = [];
        foreach ($jobs as $job => $steps) {
            foreach ($steps as $k => [$on, $takes]) {
                if ($on < 0 || $on >= $machines || $takes < 0) {
                    throw Refused::because(
                        'Job '
                            .($job + 1)
                            .', step '
                            .($k + 1)
                            .": machine {$on} for {$takes}. Machines are 0 to "
                            .($machines - 1)
                            .', times 0 or more.',
                    );
                }
                $machine[] = $on;
                $time[] = $takes;
                $jobOf[] = $job;
            }
        }

        return new self($machines, $machine, $time, $jobOf);
    }

    public function operations(): int
    {
        return count($this->machine);
    }
}
