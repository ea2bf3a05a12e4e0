<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\ReleaseOrders;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\ReleaseRequest;
use App\Queries\Orders\ListedOrder;
use App\Queries\Orders\OrderFilter;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\PaceStrips;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Releasing firm orders, one or many. */
class ReleaseController extends Controller
{
    public function index(): View
    {
        $rows = OrderList::rows(new OrderFilter(state: 'firm'));

        return view('orders.release', [
            'rows' => $rows,
            'can' => $rows->filter(fn (ListedOrder $order): bool => $order->canBeReleased()),
            'strips' => PaceStrips::for($rows),
        ]);
    }

    public function store(ReleaseRequest $request, ReleaseOrders $release): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $release->handle(
                array_map(intval(...), array_values($typed['orders'])),
                $typed['short_reason'] ?? null,
                $request->signed(),
            ),
        );
    }
}
