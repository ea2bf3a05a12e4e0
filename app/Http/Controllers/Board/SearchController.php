<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\StartSearch;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\SearchRequest;
use App\Queries\Board\LastSearch;
use App\Queries\Board\SearchPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A search for a better plan: begun, watched. */
class SearchController extends Controller
{
    public function store(SearchRequest $request, StartSearch $start): RedirectResponse
    {
        $booking = $start->handle(
            $request->integer('seconds'),
            $request->integer('moved_weight'),
            $request->integer('seed', 1),
            $request->signed(),
        );

        return $this->done(to_route('plans.watch', LastSearch::find()?->id), $booking);
    }

    /** A search as it runs, and what it came to. */
    public function show(int $search): View
    {
        $page = SearchPage::of($search);
        abort_if($page === null, 404, 'There is no such search.');

        return view('plans.watch', ['page' => $page]);
    }
}
