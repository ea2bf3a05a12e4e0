<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\SplitOrder;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\SplitRequest;
use Illuminate\Http\RedirectResponse;

/** One order becomes two. */
class OrderSplitController extends Controller
{
    public function store(SplitRequest $request, int $order, SplitOrder $split): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $split->handle(
                $order,
                (int) $typed['version'],
                $typed['quantity'],
                $request->signed($typed['reason'] ?? ''),
            ),
        );
    }
}
