<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Queries\Board\Threads;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** All an order hangs on, and what hangs on it, as a part of the page. */
class BoardThreadController extends Controller
{
    use OfPlan;

    public function show(Request $request, int $order): View
    {
        return view('board.threads', ['threads' => Threads::of($this->plan($request), $order)]);
    }
}
