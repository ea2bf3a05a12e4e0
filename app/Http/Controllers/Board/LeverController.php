<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Models\Order;
use App\Queries\Board\ShownOffer;
use App\Shop\LeverOffers;
use Illuminate\Contracts\View\View;

/** What would help a late order, each tried: takes a second or two, so the page asks for it on its own. */
class LeverController extends Controller
{
    public function index(int $order): View
    {
        Order::query()->findOrFail($order);

        return view('late.levers', [
            'order' => $order,
            'offers' => ShownOffer::all($order),
            'alone' => (LeverOffers::of($order)[0] ?? null)?->finish,
        ]);
    }
}
