<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\StartSearch;
use App\Http\Controllers\Controller;
use Illuminate\Http\RedirectResponse;

/** A search is stopped, and the best of it taken. */
class StoppedSearchController extends Controller
{
    public function store(int $search, StartSearch $start): RedirectResponse
    {
        $start->stop($search);

        return to_route('plans.watch', $search)->with('said', 'The search stops and keeps the best it found.');
    }
}
