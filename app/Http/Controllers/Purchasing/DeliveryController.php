<?php

namespace App\Http\Controllers\Purchasing;

use App\Access\Deed;
use App\Actions\Purchasing\ReceiveDelivery;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\DeliveryRequest;
use App\Queries\Purchasing\Bringing;
use App\Queries\Purchasing\DeliverySheet;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Goods in by the delivery: all that a supplier brings at once. */
class DeliveryController extends Controller
{
    public function index(Request $request): View
    {
        return view('deliveries.index', [
            'suppliers' => Bringing::all(Deliveries::now()->today),
            'sheet' => DeliverySheet::of($request->integer('supplier')),
        ]);
    }

    public function store(DeliveryRequest $request, ReceiveDelivery $receive): RedirectResponse
    {
        $request->boolean('straight') && Gate::authorize(Deed::Issue->value);

        return $this->done(back(), $receive->handle(
            $request->integer('supplier'),
            $request->rows(),
            $request->validated('paper') ?? '',
            $request->signed(bookedOn: $request->validated('booked_on')),
            $request->boolean('straight'),
        ));
    }
}
