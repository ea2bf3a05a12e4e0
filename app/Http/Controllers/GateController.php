<?php

namespace App\Http\Controllers;

use App\Http\Requests\PlainDay;
use App\Queries\Flow\DayList;
use App\Shop\Deliveries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use KeepPace\Core\Refused;

/** The day's list of what comes and what goes. */
class GateController extends Controller
{
    public function index(Request $request): View
    {
        $deliveries = Deliveries::now();
        $typed = mb_substr($request->string('on')->trim()->value(), 0, 40);
        $wrong = '';
        try {
            $day = $typed === '' ? $deliveries->today : (new PlainDay)->read($typed);
        } catch (Refused $refused) {
            $day = $deliveries->today;
            $wrong = $refused->getMessage();
        }

        return view('flow.day', [
            'list' => DayList::of($day, $deliveries->today),
            'wrong' => $wrong,
            'next' => $deliveries->plant->workingDaysFrom($day, 1),
            'before' => $deliveries->plant->workingDaysFrom($day, -1),
            'isToday' => $day === $deliveries->today,
        ]);
    }
}
