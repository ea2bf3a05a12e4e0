<?php

namespace App\Http\Controllers;

use App\Actions\Demand\ReceiveAndShip;
use App\Actions\Orders\CloseOrder;
use App\Actions\Orders\ReceiveOrder;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\ReceiveRequest;
use App\Models\Place;
use App\Queries\Orders\ReceiveList;
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
        ]);
    }

    public function store(ReceiveRequest $request, int $order, ReceiveOrder $receive): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $receive->handle(
                $order,
                $typed['quantity'],
                (int) $typed['place_id'],
                $typed['codes'] ?? '',
                $request->signed(),
            ),
        );
    }

    public function ship(ReceiveRequest $request, int $order, ReceiveAndShip $deed): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $deed->handle(
                $order,
                $typed['quantity'],
                (int) $typed['place_id'],
                $typed['codes'] ?? '',
                $request->signed(),
            ),
        );
    }

    public function close(DeedRequest $request, int $order, CloseOrder $close): RedirectResponse
    {
        return $this->done(back(), $close->handle($order, $request->signed()));
    }
}
