<?php

namespace App\Http\Controllers\Board;

use App\Access\Deed;
use App\Http\Controllers\Controller;
use App\Models\Plan;
use App\Queries\Board\BoardData;
use App\Queries\Board\PlanNews;
use App\View\BoardView;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The board: a plan, live or what-if, seen and arranged. */
class BoardController extends Controller
{
    use OfPlan;

    public function index(Request $request): View
    {
        $plan = $this->plan($request);

        $data = BoardData::of($plan);

        return view('board.index', [
            'data' => $data,
            'board' => new BoardView($data),
            'news' => PlanNews::of($plan),
            'mayPlan' => Gate::allows(Deed::Plan->value),
        ]);
    }
}
