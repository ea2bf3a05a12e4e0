<?php

namespace App\Http\Controllers\Outside;

use App\Http\Controllers\Controller;
use App\Http\Requests\AskedDay;
use App\Queries\Flow\DayList;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The day's list of what comes and what goes. */
class GateController extends Controller
{
    public function index(Request $request): View
    {
        $deliveries = Deliveries::now();
        $asked = AskedDay::of($request, $deliveries->today);
        $day = $asked->day;

        return view('flow.day', [
            'list' => DayList::of($day, $deliveries->today),
            'wrong' => $asked->wrong,
            'next' => $deliveries->plant->workingDaysFrom($day, 1),
            'before' => $deliveries->plant->workingDaysFrom($day, -1),
            'isToday' => $day === $deliveries->today,
        ]);
    }
}
