<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Queries\Board\PlanNews;
use App\View\Printed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Whether the plan was brought up to date since, and by what. */
class BoardNewsController extends Controller
{
    use OfPlan;

    public function show(Request $request): JsonResponse
    {
        $news = PlanNews::of($this->plan($request));

        return response()->json(['stamp' => $news->stamp, 'when' => (new Printed)->says($news->when)]);
    }
}
