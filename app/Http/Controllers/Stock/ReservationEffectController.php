<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\ReserveStock;
use App\Http\Controllers\Controller;
use App\Http\Requests\Stock\ReserveRequest;
use App\Models\Item;
use App\Models\Order;
use App\View\ChangeWords;
use Illuminate\Contracts\View\View;

/** What keeping stock for an order would do, before it is kept. */
class ReservationEffectController extends Controller
{
    public function store(ReserveRequest $request, ReserveStock $reserve): View
    {
        $typed = $request->typed();
        $says = ChangeWords::of($reserve->effect($typed['order'], $typed['item'], $typed['quantity']));

        return view('reservations.preview', [
            'order' => Order::query()->findOrFail($typed['order']),
            'item' => Item::query()->with('unit')->findOrFail($typed['item']),
            'typed' => $typed,
            'says' => $says,
        ]);
    }
}
