<?php

namespace App\Http\Controllers\Station;

use App\Http\Controllers\Controller;
use App\Models\WorkCentre;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Station\StationLoad;
use App\Queries\Station\StationQueue;
use Illuminate\Contracts\View\View;

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
}
