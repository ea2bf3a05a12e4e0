<?php

namespace App\Actions\Schedule;

use App\Queries\Board\StandingPlan;
use App\Queries\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Comparison;

/** What a change of facts would do to the dates: it is made, the live plan brought up to date with it, and all is taken back before anybody sees it. */
final class AskEffect
{
    /**
     * @param  \Closure(): mixed  $change
     * @return array{comparison: Comparison, lost: list<string>} lost: in words, the orders that would have no place any more
     */
    public function of(\Closure $change): array
    {
        $standing = StandingPlan::of();
        $keep = PlanChanges::keeping($standing->steps());
        [$problem, $before] = $standing->loadNow(ShopState::now(), $keep);
        DB::beginTransaction();
        try {
            $change();
            [, $after] = StandingPlan::of()->loadNow(ShopState::now(), $keep);
        } finally {
            DB::rollBack();
        }

        return ['comparison' => Comparison::between($problem, $before, $after),
            'lost' => array_values(array_diff_key($after->unplaced, $before->unplaced))];
    }
}
