<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\CloseOrder;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\CloseOrderRequest;
use Illuminate\Http\RedirectResponse;

/** An order is closed. */
class ClosedOrderController extends Controller
{
    public function store(CloseOrderRequest $request, int $order, CloseOrder $close): RedirectResponse
    {
        $booking = $close->handle($order, $request->signed(), $request->boolean('nothing_more'));

        return $this->done(back(), $booking);
    }
}
