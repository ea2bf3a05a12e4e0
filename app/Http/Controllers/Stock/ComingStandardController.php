<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\PlanStandards;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** A standard cost that was to come is dropped. */
class ComingStandardController extends Controller
{
    public function destroy(DeedRequest $request, int $coming, PlanStandards $plan): RedirectResponse
    {
        return $this->done(back(), $plan->drop($coming, $request->signed()));
    }
}
