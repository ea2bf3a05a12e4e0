<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\GoLive;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** A what-if becomes the live plan. */
class LivePlanController extends Controller
{
    public function store(DeedRequest $request, int $plan, GoLive $goLive): RedirectResponse
    {
        return $this->done(
            to_route('board'),
            $goLive->handle(
                $plan,
                $request->filled('seen') ? $request->integer('seen') : null,
                $request->signed(),
            ),
        );
    }
}
