<?php

namespace App\Http\Controllers;

use App\Queries\Today\TodayPage;
use Illuminate\Contracts\View\View;

/** The page that opens first. */
class TodayController extends Controller
{
    public function index(): View
    {
        return view('today', ['today' => TodayPage::now()]);
    }
}
