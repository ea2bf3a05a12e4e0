<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ReceiveAndIssue;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\ReceiveRequest;
use Illuminate\Http\RedirectResponse;

/** What is received goes straight on to who waits for it. */
class ReceivedAndIssuedController extends Controller
{
    public function store(ReceiveRequest $request, int $order, ReceiveAndIssue $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($order, $request->typed(), $request->signed()));
    }
}
