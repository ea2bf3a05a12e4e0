<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\SettleClaim;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\ClaimRequest;
use App\Queries\Outside\ListedClaim;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What suppliers are to make good. */
class ClaimController extends Controller
{
    public function index(): View
    {
        return view('outside.claims', ['claims' => ListedClaim::all()]);
    }

    public function update(ClaimRequest $request, int $claim, SettleClaim $settle): RedirectResponse
    {
        $signed = $request->signed($request->reason());

        return $this->done(back(), $settle->handle($claim, $request->answer(), $request->cents(), $signed));
    }
}
