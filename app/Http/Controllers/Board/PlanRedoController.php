<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\UndoPlan;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** What was taken back of a plan is done again. */
class PlanRedoController extends Controller
{
    use OfPlan;

    public function store(DeedRequest $request, UndoPlan $undo): RedirectResponse
    {
        return $this->done(back(), $undo->redo($this->plan($request), $request->signed()));
    }
}
