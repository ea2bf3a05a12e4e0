<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What would help a late order: tried beside the page, which asks for it on its own, and how far it is. */
class LeverController extends Controller
{
    use OfTries;

    public function index(Request $request, int $order): View
    {
        return view('late.levers', ['page' => $this->tries($request, $order)]);
    }
}
