<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Http\Requests\AskedDay;
use App\Papers\BoardPaper;
use App\Queries\Board\PrintedPlan;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A day or a week of the plan on A3, for the wall. */
class BoardPaperController extends Controller
{
    use OfPlan;

    public function show(Request $request): Response
    {
        $asked = AskedDay::of($request, When::today()->toDateString());
        $day = CarbonImmutable::parse($asked->day, When::zone());
        $isWeek = $request->query('span') === 'week';
        $plan = PrintedPlan::of($this->plan($request), $isWeek ? $day->startOfWeek() : $day, $isWeek ? 7 : 1);

        return $this->paperNamed('plan-'.($isWeek ? 'week-' : '').$day->format('Y-m-d'), BoardPaper::pdf($plan));
    }
}
