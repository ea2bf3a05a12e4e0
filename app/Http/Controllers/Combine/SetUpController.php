<?php

namespace App\Http\Controllers\Combine;

use App\Actions\Combine\SetUpTogether;
use App\Http\Controllers\Controller;
use App\Http\Requests\Combine\SetUpRequest;
use App\Http\Requests\DeedRequest;
use App\Queries\Combine\TogetherList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Steps of several orders on one set-up. */
class SetUpController extends Controller
{
    public function index(): View
    {
        return view('combine.together', ['together' => TogetherList::read()]);
    }

    public function store(SetUpRequest $request, SetUpTogether $together): RedirectResponse
    {
        return $this->done(to_route('set-ups.index'), $together->handle($request->ids('steps'), $request->signed()));
    }

    /** It is set up by itself again. */
    public function destroy(DeedRequest $request, int $step, SetUpTogether $together): RedirectResponse
    {
        return $this->done(back(), $together->takeOut($step, $request->signed()));
    }
}
