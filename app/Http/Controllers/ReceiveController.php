<?php

namespace App\Http\Controllers;

use App\Actions\Demand\ReceiveAndShip;
use App\Actions\Orders\CloseOrder;
use App\Actions\Orders\ReceiveAndIssue;
use App\Actions\Orders\ReceiveOrder;
use App\Http\Requests\CloseOrderRequest;
use App\Http\Requests\ReceiveRequest;
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

    public function ship(ReceiveRequest $request, int $order, ReceiveAndShip $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($order, $request->typed(), $request->signed()));
    }

    public function issue(ReceiveRequest $request, int $order, ReceiveAndIssue $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($order, $request->typed(), $request->signed()));
    }

    public function close(CloseOrderRequest $request, int $order, CloseOrder $close): RedirectResponse
    {
        $booking = $close->handle($order, $request->signed(), $request->boolean('nothing_more'));

        return $this->done(back(), $booking);
    }
}
