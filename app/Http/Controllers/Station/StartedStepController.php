<?php

namespace App\Http\Controllers\Station;

use App\Actions\Shop\StartStep;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** Work on a step begins. */
class StartedStepController extends Controller
{
    public function store(DeedRequest $request, int $step, StartStep $start): RedirectResponse
    {
        return $this->done(back(), $start->handle($step, $request->signed()));
    }
}
