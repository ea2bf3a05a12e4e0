<?php

namespace App\Http\Controllers\Product;

use App\Actions\Settings\KeepUnits;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\UnitsRequest;
use App\Queries\Settings\UnitList;
use App\View\KeptList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Units things are counted in. */
class UnitController extends Controller
{
    public function index(): View
    {
        return view('settings.list', ['list' => KeptList::units(UnitList::all())]);
    }

    public function update(UnitsRequest $request, KeepUnits $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->units(), $request->signed()));
    }
}
