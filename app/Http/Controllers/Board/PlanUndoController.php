<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\UndoPlan;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** The last deed on a plan is taken back. */
class PlanUndoController extends Controller
{
    use OfPlan;

    public function store(DeedRequest $request, UndoPlan $undo): RedirectResponse
    {
        return $this->done(back(), $undo->undo($this->plan($request), $request->signed()));
    }
}
