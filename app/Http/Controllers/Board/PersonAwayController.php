<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\SayAbsent;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\AbsentRequest;
use Illuminate\Http\RedirectResponse;

/** Somebody who is away. */
class PersonAwayController extends Controller
{
    public function store(AbsentRequest $request, SayAbsent $say): RedirectResponse
    {
        $booking = $say->person(
            $request->integer('person'),
            $request->from(),
            $request->until(),
            $request->signed($request->string('reason')->trim()->value()),
        );

        return $this->done(to_route('absence.index'), $booking)->with('booking', $booking->id);
    }
}
