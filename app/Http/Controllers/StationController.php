<?php

namespace App\Http\Controllers;

use App\Actions\Shop\ReportStep;
use App\Actions\Shop\StartStep;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\ReportRequest;
use App\Models\WorkCentre;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Station\StationLoad;
use App\Queries\Station\StationQueue;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The station: the queue of a work centre, starting, counting, passing on. */
class StationController extends Controller
{
    public function index(): View
    {
        return view('station.index', [
            'stations' => StationLoad::all(),
            'outside' => AtSuppliers::count(),
        ]);
    }

    public function show(int $station): View
    {
        return view('station.show', [
            'centre' => WorkCentre::query()->findOrFail($station),
            'queue' => StationQueue::at($station),
        ]);
    }

    public function start(DeedRequest $request, int $step, StartStep $start): RedirectResponse
    {
        return $this->done(back(), $start->handle($step, $request->signed()));
    }

    public function report(ReportRequest $request, int $step, ReportStep $report): RedirectResponse
    {
        return $this->done(back(), $report->handle($step, $request->report(), $request->signed()));
    }
}
