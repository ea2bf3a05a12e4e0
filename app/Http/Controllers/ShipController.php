<?php

namespace App\Http\Controllers;

use App\Actions\Demand\ShipLines;
use App\Http\Requests\LinesRequest;
use App\Queries\Demand\ShipList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Shipping customer lines from stock. */
class ShipController extends Controller
{
    public function index(): View
    {
        return view('customer-orders.ship', ['orders' => ShipList::byOrder()]);
    }

    public function store(LinesRequest $request, int $customerOrder, ShipLines $ship): RedirectResponse
    {
        return $this->done(
            back(),
            $ship->handle($customerOrder, $request->lines(), $request->token(), $request->person()),
        );
    }
}
