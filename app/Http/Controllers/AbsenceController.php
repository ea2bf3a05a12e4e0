<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\SayAbsent;
use App\Http\Requests\AbsentRequest;
use App\Http\Requests\DeedRequest;
use App\Queries\Board\AbsenceList;
use App\Queries\Board\EffectOf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Machine down, person away: said in one go, and what becomes late by it. */
class AbsenceController extends Controller
{
    public function index(Request $request): View
    {
        $booking = $request->session()->get('booking');

        return view('absence.index', [
            'list' => AbsenceList::now($request->integer('centre')),
            'centre' => $request->integer('centre'),
            'effect' => is_int($booking) ? EffectOf::booking($booking)->says() ?: 'Nobody becomes late by it.' : '',
        ]);
    }

    public function machine(AbsentRequest $request, SayAbsent $say): RedirectResponse
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

    public function person(AbsentRequest $request, SayAbsent $say): RedirectResponse
    {
        $booking = $say->person(
            $request->integer('person'),
            $request->from(),
            $request->until(),
            $request->signed($request->string('reason')->trim()->value()),
        );

        return $this->done(to_route('absence.index'), $booking)->with('booking', $booking->id);
    }

    public function back(DeedRequest $request, string $what, int $id, SayAbsent $say): RedirectResponse
    {
        $booking = $say->back(
            $what === 'machine' ? 'downtimes' : 'absences',
            $id,
            $request->signed(),
        );

        return $this->done(to_route('absence.index'), $booking)->with('booking', $booking->id);
    }
}
