<?php

namespace App\Http\Controllers\Today;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use App\Queries\Today\FirstThings;
use App\Queries\Today\TodayPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The page that opens first. */
class TodayController extends Controller
{
    public function index(Request $request): View
    {
        $today = TodayPage::now();
        $mayBegin = $today->nothingIsOpen && $request->user()?->may(Deed::SetUp) === true;
        $first = $mayBegin ? FirstThings::stillToDo() : null;

        return view('today', ['today' => $today, 'first' => $first]);
    }
}
