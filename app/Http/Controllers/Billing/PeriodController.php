<?php

namespace App\Http\Controllers\Billing;

use App\Actions\Bookings\ClosePeriod;
use App\Http\Controllers\Controller;
use App\Http\Requests\Billing\PeriodRequest;
use App\Queries\Billing\ClosedPeriod;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Periods of the books. */
class PeriodController extends Controller
{
    public function index(): View
    {
        return view('periods.index', ['periods' => ClosedPeriod::all()]);
    }

    public function store(PeriodRequest $request, ClosePeriod $close): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(back(), $close->handle($typed['ends_on'], $request->signed()));
    }
}
