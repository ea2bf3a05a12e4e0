<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\LoadByRank;
use App\Http\Requests\DeedRequest;
use App\Queries\Board\BoardDrawing;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The board: the live plan. */
class BoardController extends Controller
{
    public function index(Request $request): View
    {
        $days = in_array($request->integer('days'), [2, 5, 10, 21], true) ? $request->integer('days') : 5;
        $typed = $request->string('from')->value();
        $from = preg_match('/^\d{4}-\d\d-\d\d$/', $typed) === 1 ? CarbonImmutable::parse($typed, When::zone()) : When::today();

        if ($request->query('as') === 'list') {
            return view($this->wantsPart($request) ? 'board-list' : 'board-list-page', ['board' => BoardDrawing::of($from, $days)]);
        }

        return view('board', ['board' => BoardDrawing::of($from, $days), 'from' => $from, 'days' => $days,
            'late' => $request->boolean('late'), 'order' => $request->string('order')->trim()->value()]);
    }

    public function byRank(DeedRequest $request, LoadByRank $load): RedirectResponse
    {
        return $this->done(back(), $load->handle($request->token(), $request->person()));
    }
}
