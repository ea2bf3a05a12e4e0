<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Queries\Board\AbsenceList;
use App\Queries\Board\EffectOf;
use Illuminate\Contracts\View\View;
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
}
