<?php

namespace App\Http\Controllers\Product;

use App\Actions\Settings\KeepCrews;
use App\Http\Controllers\Controller;
use App\Http\Requests\Product\CrewsRequest;
use App\Queries\Settings\CrewList;
use App\Queries\Settings\WantedSkills;
use App\View\KeptList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Who works at which work centre. */
class CrewController extends Controller
{
    public function index(): View
    {
        return view('settings.list', ['list' => KeptList::crews(CrewList::all(), WantedSkills::all())]);
    }

    public function update(CrewsRequest $request, KeepCrews $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->crews(), $request->signed()));
    }
}
