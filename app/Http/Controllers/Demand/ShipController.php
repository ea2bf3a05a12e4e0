<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Builds\ShipAsBuilt;
use App\Http\Controllers\Controller;
use App\Http\Requests\Demand\ShipRequest;
use App\Queries\Demand\ShipList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Shipping customer lines from stock. */
class ShipController extends Controller
{
    public function index(): View
    {
        $orders = ShipList::byOrder();

        return view('customer-orders.ship', [
            'orders' => $orders,
            'says' => ShipList::says($orders),
        ]);
    }

    public function store(ShipRequest $request, int $customerOrder, ShipAsBuilt $ship): RedirectResponse
    {
        return $this->done(
            back(),
            $ship->handle($customerOrder, $request->lines(), $request->signed(), $request->boolean('in_parts')),
        );
    }
}
