<?php

namespace App\Http\Controllers;

use App\Actions\Purchasing\OrderWork;
use App\Http\Requests\WorkRequest;
use Illuminate\Http\RedirectResponse;

/** Orders for work done outside. */
class WorkController extends Controller
{
    public function store(WorkRequest $request, OrderWork $order): RedirectResponse
    {
        return $this->done(back(), $order->handle($request->steps(), $request->signed()));
    }
}
