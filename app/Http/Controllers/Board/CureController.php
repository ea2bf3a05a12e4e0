<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The best of what would help, in a line: for the answer to a booking that made an order late. */
class CureController extends Controller
{
    use OfTries;

    public function index(Request $request, int $order): View
    {
        return view('late.cures', ['page' => $this->tries($request, $order)]);
    }
}
