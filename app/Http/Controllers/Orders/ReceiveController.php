<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ReceiveOrder;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\ReceiveRequest;
use App\Models\Place;
use App\Queries\Orders\ReceiveList;
use App\View\Typed;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Good pieces from orders into stock, and closing what is built. */
class ReceiveController extends Controller
{
    public function index(): View
    {
        return view('orders.receive', [
            'orders' => ReceiveList::rows(),
            'places' => Place::offered(),
            'typed' => fn (string $form): Typed => new Typed($form),
        ]);
    }

    public function store(ReceiveRequest $request, int $order, ReceiveOrder $receive): RedirectResponse
    {
        return $this->done(back(), $receive->handle($order, $request->typed(), $request->signed()));
    }
}
