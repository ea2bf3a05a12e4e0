<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Purchasing\OrderWork;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\WorkRequest;
use Illuminate\Http\RedirectResponse;

/** Orders for work done outside. */
class WorkController extends Controller
{
    public function store(WorkRequest $request, OrderWork $order): RedirectResponse
    {
        return $this->done(back(), $order->handle($request->steps(), $request->signed()));
    }
}
