<?php

namespace App\Http\Controllers\Partners;

use App\Actions\People\LetSuppliersGo;
use App\Http\Controllers\Controller;
use App\Http\Requests\Partners\GoByRequest;
use App\Http\Requests\Partners\TurnRequest;
use App\Models\PurchaseOrder;
use App\StandIn\OpenOrder;
use App\StandIn\StandIn;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What suppliers do, where the demo was played; in any other shop there is no such page. */
class StandInController extends Controller
{
    public function index(): View
    {
        abort_if(StandIn::person() === null, 404, 'Nobody stands in for the suppliers here.');

        return view('stand-in.index', ['orders' => OpenOrder::all(), 'byClock' => StandIn::goesByClock()]);
    }

    /** A supplier does what is next to an order. */
    public function store(TurnRequest $request, int $purchaseOrder, StandIn $standIn): RedirectResponse
    {
        $order = PurchaseOrder::query()->findOrFail($purchaseOrder);

        return $this->done(back(), $standIn->turn($order, $request->turn(), $request->signed()));
    }

    public function update(GoByRequest $request, LetSuppliersGo $let): RedirectResponse
    {
        return $this->done(back(), $let->handle($request->isClock(), $request->signed()));
    }
}
