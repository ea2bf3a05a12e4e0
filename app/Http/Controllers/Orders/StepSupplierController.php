<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Purchasing\WorkElsewhere;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\OtherSupplierRequest;
use Illuminate\Http\RedirectResponse;

/** Who does a step of an order outside. */
class StepSupplierController extends Controller
{
    public function update(OtherSupplierRequest $request, int $step, WorkElsewhere $elsewhere): RedirectResponse
    {
        return $this->done(back(), $elsewhere->handle(
            $step,
            $request->integer('version'),
            $request->integer('supplier'),
            $request->signed((string) $request->validated('reason')),
        ));
    }
}
