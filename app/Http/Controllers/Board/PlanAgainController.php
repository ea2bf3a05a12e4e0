<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\WhatIf;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** A what-if is worked out again over the facts of now. */
class PlanAgainController extends Controller
{
    public function store(DeedRequest $request, int $plan, WhatIf $whatIf): RedirectResponse
    {
        return $this->done(to_route('plans.show', $plan), $whatIf->again($plan, $request->signed()));
    }
}
