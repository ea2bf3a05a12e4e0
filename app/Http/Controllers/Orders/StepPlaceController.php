<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Purchasing\WorkHere;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\WorkHereRequest;
use Illuminate\Http\RedirectResponse;

/** Where a step is done here that a supplier was to do. */
class StepPlaceController extends Controller
{
    public function update(WorkHereRequest $request, int $step, WorkHere $bringIn): RedirectResponse
    {
        return $this->done(back(), $bringIn->handle(
            $step,
            $request->integer('version'),
            $request->here(),
            $request->signed((string) $request->validated('reason')),
        ));
    }
}
