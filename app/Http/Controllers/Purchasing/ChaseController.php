<?php

namespace App\Http\Controllers\Purchasing;

use App\Http\Controllers\Controller;
use App\Queries\Purchasing\DueList;
use Illuminate\Contracts\View\View;

/** What the buyer asks about, worst first. */
class ChaseController extends Controller
{
    public function index(): View
    {
        return view('purchases.chase', ['rows' => DueList::toChase()]);
    }
}
