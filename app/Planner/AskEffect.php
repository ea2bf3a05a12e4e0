<?php

namespace App\Planner;

use App\Shop\OpenOrder;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;
use KeepPace\Core\Scheduling\Schedule;

/**
 * What a change of facts would do to the dates: it is made, the live plan brought up to date with it, and all is taken
 * back before anybody sees it.
 */
final class AskEffect
{
    /** @param  \Closure(): mixed  $change */
    public function of(\Closure $change): Effect
    {
        $standing = StandingPlan::of();
        $keep = StandingPlan::keeping($standing->steps());
        $shop = ShopState::now();
        [$problem, $before] = $standing->loadNow($shop, $keep);
        $ready = self::readiness($shop, $before);
        DB::beginTransaction();
        try {
            $change();
            $shop = ShopState::now();
            [, $after] = StandingPlan::of()->loadNow($shop, $keep);
        } finally {
            DB::rollBack();
        }

        return new Effect(
            Comparison::between($problem, $before, $after),
            array_values(array_diff_key($after->unplaced, $before->unplaced)),
            self::changed($ready, self::readiness($shop, $after)),
        );
    }

    /** @return array<int, string> by order */
    private static function readiness(ShopState $shop, Schedule $schedule): array
    {
        return $shop->orders
            ->map(fn (OpenOrder $order): string => $shop->readiness($order->id, $schedule->finish)->state->value)
            ->all();
    }

    /**
     * @param  array<int, string>  $before
     * @param  array<int, string>  $after
     * @return array<int, array{string, string}> only those that differ
     */
    private static function changed(array $before, array $after): array
    {
        $changed = [];
        foreach ($after as $order => $state) {
            if (($before[$order] ?? $state) !== $state) {
                $changed[$order] = [$before[$order], $state];
            }
        }

        return $changed;
    }
}
