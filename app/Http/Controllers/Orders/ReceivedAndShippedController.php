<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Demand\ReceiveAndShip;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\ReceiveRequest;
use Illuminate\Http\RedirectResponse;

/** What is received goes straight on to its customer. */
class ReceivedAndShippedController extends Controller
{
    public function store(ReceiveRequest $request, int $order, ReceiveAndShip $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($order, $request->typed(), $request->signed()));
    }
}
