<?php

namespace App\Http\Controllers\Board;

use App\Models\Plan;
use Illuminate\Http\Request;

/** What is asked of a plan: the live one, or a what-if that is named. */
trait OfPlan
{
    private function plan(Request $request): int
    {
        $plan = $request->integer('plan') ?: Plan::LIVE;
        abort_unless(
            $plan === Plan::LIVE || Plan::isThere($plan),
            404,
            'That plan is not there any more.',
        );

        return $plan;
    }
}
