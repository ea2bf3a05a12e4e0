<?php

namespace App\Shop;

use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\SetFor;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;

/**
 * Steps somebody already relies on: parts are issued to them, tools are set for them, or they begin so soon that people
 * were told. A search may move them, at a higher price.
 */
final class Prepared
{
    /** Open minutes behind the shift that runs: about the next one. */
    private const NEXT_SHIFT = 480;

    /**
     * @param  array<int, PlannedStep>  $plan  by step id
     * @return array<int, true> by step id
     */
    public static function steps(Problem $problem, array $plan): array
    {
        $prepared = array_fill_keys([...self::withParts(), ...SetFor::steps($problem, $plan)], true);
        foreach ($plan as $id => $at) {
            $centre = $problem->workCentres[$at->workCentre ?? 0] ?? null;
            $until = $centre === null
                ? 0
                : $centre->open->finish(max($problem->now, $centre->fence), self::NEXT_SHIFT) ?? PHP_INT_MAX;
            if ($at->start < $until) {
                $prepared[$id] = true;
            }
        }

        return $prepared;
    }

    /** @return list<int> steps that have not begun and have some of their parts */
    private static function withParts(): array
    {
        return Row::ints(
            DB::table('order_steps AS s')
                ->whereNull('s.started_at')
                ->whereExists(fn (Builder $parts) => $parts
                    ->from('order_components AS c')
                    ->whereColumn('c.order_id', 's.order_id')
                    ->whereColumn('c.step_number', 's.number')
                    ->where('c.used_quantity', '>', 0)),
            's.id',
        );
    }
}
