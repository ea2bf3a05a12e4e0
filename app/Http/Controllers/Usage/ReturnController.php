<?php

namespace App\Http\Controllers\Usage;

use App\Actions\Usage\ReturnComponents;
use App\Http\Controllers\Controller;
use App\Http\Requests\Usage\ReturnRequest;
use App\Models\Order;
use App\Models\Place;
use App\Queries\Usage\HoldingOrder;
use App\Queries\Usage\ReturnList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Components an order did not use, back to stores. */
class ReturnController extends Controller
{
    public function index(Request $request): View
    {
        $number = mb_substr($request->string('order')->trim()->value(), 0, 30);
        $order = $number === '' ? null : Order::numbered($number)?->load('item');

        return view('usage.returns', [
            'number' => $number,
            'order' => $order,
            'says' => match (true) {
                $order !== null => "What lies in order {$order->number}, {$order->item->name}, lot by lot.",
                $number === '' => 'Of which order?',
                default => "There is no order {$number}.",
            },
            'lots' => $order === null ? collect() : ReturnList::of($order->id),
            'places' => Place::offered(),
            'orders' => HoldingOrder::all(),
        ]);
    }

    public function store(ReturnRequest $request, int $order, ReturnComponents $return): RedirectResponse
    {
        return $this->done(
            back(),
            $return->handle(
                $order,
                $request->lines(),
                $request->integer('place_id'),
                $request->condition(),
                $request->signed($request->validated('reason')),
            ),
        );
    }
}
