<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\SayAbsent;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use Illuminate\Http\RedirectResponse;

/** A machine runs, or somebody is there, again. */
class BackAgainController extends Controller
{
    public function store(DeedRequest $request, string $what, int $id, SayAbsent $say): RedirectResponse
    {
        $booking = $say->back(
            $what === 'machine' ? 'downtimes' : 'absences',
            $id,
            $request->signed(),
        );

        return $this->done(to_route('absence.index'), $booking)->with('booking', $booking->id);
    }
}
