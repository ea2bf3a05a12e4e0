<?php

namespace App\Http\Controllers\Settings;

use App\Actions\Settings\KeepPlaces;
use App\Http\Controllers\Controller;
use App\Http\Requests\Settings\PlacesRequest;
use App\Queries\Settings\PlaceList;
use App\View\KeptList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Places of the stores. */
class PlaceController extends Controller
{
    public function index(): View
    {
        return view('settings.list', ['list' => KeptList::places(PlaceList::all())]);
    }

    public function update(PlacesRequest $request, KeepPlaces $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->places(), $request->signed()));
    }
}
