<?php

namespace App\Http\Controllers;

use App\Actions\Stock\TakeStandards;
use App\Http\Requests\ReverseRequest;
use App\Http\Requests\StandardsRequest;
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

    public function store(StandardsRequest $request, TakeStandards $take): RedirectResponse
    {
        $signed = $request->signed($request->validated('reason'), $request->validated('booked_on'));

        return $this->done(back(), $take->handle($request->taken(), $signed));
    }

    public function destroy(ReverseRequest $request, int $booking, TakeStandards $take): RedirectResponse
    {
        return $this->done(back(), $take->back($booking, $request->signed($request->validated('reason'))));
    }
}
