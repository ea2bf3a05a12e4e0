<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Queries\Board\DispatchCentre;
use App\Queries\Board\DispatchList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\URL;

/** Dispatch lists: on the page, on paper, as CSV, as an iCalendar feed. */
class DispatchController extends Controller
{
    use OfDispatch;

    public function index(): View
    {
        return view('dispatch.index', ['centres' => DispatchCentre::all()]);
    }

    public function show(Request $request, int $centre): View
    {
        $list = $this->list($request, $centre);

        return view('dispatch.show', [
            'list' => $list,
            'people' => DispatchList::people($centre),
            'feed' => URL::signedRoute('dispatch.feed', ['centre' => $centre, ...$list->narrowedTo()]),
        ]);
    }
}
