<?php

namespace App\Http\Controllers\Billing;

use App\Http\Controllers\Controller;
use App\Http\Requests\AskedDay;
use App\Queries\Billing\NotBilledPage;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What came and was not billed, by supplier, on any day. */
class NotBilledController extends Controller
{
    public function index(Request $request): View
    {
        $today = Deliveries::now()->today;
        $asked = AskedDay::of($request, $today);

        return view('bills.owed', [
            'page' => NotBilledPage::on($asked->day, $request->integer('supplier') ?: null),
            'wrong' => $asked->wrong,
            'isToday' => $asked->day === $today,
        ]);
    }
}
