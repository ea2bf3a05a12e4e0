<?php

namespace App\Http\Controllers\Stock;

use App\Actions\Stock\PlanStandards;
use App\Actions\Stock\TakeStandards;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\ReverseRequest;
use App\Http\Requests\Stock\StandardsRequest;
use App\Queries\Product\ItemFilter;
use App\Queries\Stock\StandardList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Standard costs: what they would be if they were worked out today, taken for a list, taken back. */
class StandardController extends Controller
{
    public function index(Request $request): View
    {
        $filter = ItemFilter::from($request);

        return view('stock.standards', [
            'list' => StandardList::of($filter),
            'filter' => $filter,
            'categories' => StandardList::categories(),
        ]);
    }

    public function store(StandardsRequest $request, TakeStandards $take, PlanStandards $plan): RedirectResponse
    {
        $ahead = $request->ahead();
        $signed = $request->signed(
            $request->validated('reason'),
            $ahead === null ? $request->validated('booked_on') : null,
        );

        return $this->done(back(), $ahead === null
            ? $take->handle($request->taken(), $signed)
            : $plan->handle($request->taken(), $ahead, $signed));
    }

    public function destroy(ReverseRequest $request, int $booking, TakeStandards $take): RedirectResponse
    {
        return $this->done(back(), $take->back($booking, $request->signed($request->validated('reason'))));
    }
}
