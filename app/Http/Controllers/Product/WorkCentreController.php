<?php

namespace App\Http\Controllers\Product;

use App\Actions\Product\KeepWorkCentre;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\NewWorkCentreRequest;
use App\Http\Requests\Product\WorkCentreRequest;
use App\Models\Calendar;
use App\Models\WorkCentre;
use App\Queries\Product\CentreList;
use App\Queries\Product\CentrePage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Work centres: machines, calendar, rates, what they take at once, how long from one setup to the next. */
class WorkCentreController extends Controller
{
    public function index(): View
    {
        return view('product.centres', [
            'centres' => CentreList::all(),
            'help' => CentrePage::HELP,
            'calendars' => Calendar::offered()->all(),
        ]);
    }

    public function show(int $centre): View
    {
        return view('product.centre', [
            'page' => CentrePage::of($centre),
            'calendars' => Calendar::offered()->all(),
        ]);
    }

    public function store(NewWorkCentreRequest $request, KeepWorkCentre $keep): RedirectResponse
    {
        $code = $request->validated('code');
        $booking = $keep->enter($code, $request->centre(), $request->signed());

        return $this->done(to_route('centres.show', WorkCentre::coded($code)), $booking);
    }

    public function update(WorkCentreRequest $request, int $centre, KeepWorkCentre $keep): RedirectResponse
    {
        return $this->done(
            to_route('centres.show', $centre),
            $keep->change($centre, $request->integer('version'), $request->centre(), $request->signed()),
        );
    }
}
