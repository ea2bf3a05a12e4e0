<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\JobShop;

/** Start times of a job shop, semi-active: each operation as early as its job and the order on its machine allow. */
final readonly class JobShopSchedule
{
    /** @param  list<int>  $start  by operation */
    private function __construct(public array $start, public int $makespan, public int $iterations)
    {
    }

    /** @param  list<int>  $place  of each operation in a linear order that respects the jobs */
    public static function of(JobShop $shop, array $place, int $iterations): self
    {
        asort($place);
        $jobFree = $machineFree = [];
        $start = array_fill(0, count($place), 0);
        $span = 0;
        foreach (array_keys($place) as $operation) {
            $job = $shop->jobOf[$operation];
            $machine = $shop->machine[$operation];
            $at = max($jobFree[$job] ?? 0, $machineFree[$machine] ?? 0);
            $start[$operation] = $at;
            $jobFree[$job] = $machineFree[$machine] = $at + $shop->time[$operation];
            $span = max($span, $jobFree[$job]);
        }

        return new self(array_values($start), $span, $iterations);
    }
}
