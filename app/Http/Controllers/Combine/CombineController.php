<?php

namespace App\Http\Controllers\Combine;

use App\Actions\Combine\CombineOrders;
use App\Actions\Combine\TakeOutOfCombined;
use App\Http\Controllers\Controller;
use App\Http\Requests\Combine\CombineRequest;
use App\Http\Requests\DeedRequest;
use App\Queries\Combine\CombineList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Several lines, or orders, made as one. */
class CombineController extends Controller
{
    public function index(): View
    {
        return view('combine.index', ['list' => CombineList::read()]);
    }

    public function store(CombineRequest $request, CombineOrders $combine): RedirectResponse
    {
        $booking = $combine->handle($request->ids('lines'), $request->ids('orders'), $request->signed());

        return $this->done(to_route('orders.show', $booking->order_id), $booking);
    }

    /** The share of a line is an order of its own again. */
    public function destroy(DeedRequest $request, int $cover, TakeOutOfCombined $takeOut): RedirectResponse
    {
        return $this->done(back(), $takeOut->handle($cover, $request->signed()));
    }
}
