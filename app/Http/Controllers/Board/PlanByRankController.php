<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\LoadByRank;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** The plan loaded anew, by rank alone. */
class PlanByRankController extends Controller
{
    public function store(DeedRequest $request, LoadByRank $load): RedirectResponse
    {
        return $this->done(back(), $load->handle($request->signed()));
    }
}
