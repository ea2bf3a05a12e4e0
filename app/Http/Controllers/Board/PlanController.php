<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\WhatIf;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\WhatIfRequest;
use App\Http\Requests\DeedRequest;
use App\Models\Plan;
use App\Queries\Board\LastSearch;
use App\Queries\Board\PlanComparison;
use App\Queries\Board\PlanList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Plans beside the live one: searching, comparing, going live. */
class PlanController extends Controller
{
    public function index(Request $request): View
    {
        $plans = PlanList::all();
        $data = [
            'plans' => $plans,
            'whatIfs' => $plans->where('isLive', false)->count(),
            'search' => LastSearch::find(),
        ];

        return view($this->wantsPart($request) ? 'plans.search' : 'plans.index', $data);
    }

    public function show(int $plan): View
    {
        abort_if($plan === Plan::LIVE, 404, 'The live plan is what others are compared with.');
        $compared = PlanComparison::of($plan);

        return view('plans.show', [
            'compared' => $compared,
            'plan' => $compared->plan,
            'seen' => (int) Plan::query()->findOrFail(Plan::LIVE)->change_id,
        ]);
    }

    public function store(WhatIfRequest $request, WhatIf $whatIf): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            to_route('plans.index'),
            $whatIf->copy($typed['name'] ?? '', $request->signed()),
        );
    }

    public function destroy(DeedRequest $request, int $plan, WhatIf $whatIf): RedirectResponse
    {
        return $this->done(to_route('plans.index'), $whatIf->discard($plan, $request->signed()));
    }
}
