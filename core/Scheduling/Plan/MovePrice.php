<?php

declare(strict_types=1);

namespace KeepPace\Core\Scheduling\Plan;

use KeepPace\Core\Scheduling\Net\Net;
use KeepPace\Core\Scheduling\PlannedStep;

/**
 * What it costs to move a step from where the plan has it. People have begun to rely on some: parts are picked for
 * them, tools are set, or they were told for the shift after this one; these count as moved three times.
 */
final readonly class MovePrice
{
    private const RELIED_ON = 3;

    /**
     * @param  int  $minutes  weighted minutes late that a moved step counts; 0 = moving is free
     * @param  array<int, true>  $prepared  by step id: somebody relies on it
     */
    public function __construct(public int $minutes = 0, private array $prepared = [])
    {
    }

    public function ofStep(int $step): int
    {
        return $this->minutes * (isset($this->prepared[$step]) ? self::RELIED_ON : 1);
    }

    /**
     * @param  array<int, PlannedStep>  $plan  by step id
     * @return array{was: array<int, int>, price: array<int, int>} by operation: its start in minutes from now, and what
     *     it costs to start elsewhere; nothing where moving is free
     */
    public function of(Net $net, array $plan): array
    {
        $was = $price = [];
        foreach ($this->minutes > 0 ? $net->step : [] as $x => $step) {
            if (isset($plan[$step->id])) {
                $was[$x] = $plan[$step->id]->start - $net->origin;
                $price[$x] = $this->ofStep($step->id);
            }
        }

        return ['was' => $was, 'price' => $price];
    }
}
