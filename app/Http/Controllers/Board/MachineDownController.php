<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\SayAbsent;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\AbsentRequest;
use Illuminate\Http\RedirectResponse;

/** A machine that is down. */
class MachineDownController extends Controller
{
    public function store(AbsentRequest $request, SayAbsent $say): RedirectResponse
    {
        $booking = $say->machine(
            $request->integer('centre'),
            $request->integer('machine'),
            $request->from(),
            $request->until(),
            $request->signed($request->string('reason')->trim()->value()),
        );

        return $this->done(to_route('absence.index'), $booking)->with('booking', $booking->id);
    }
}
