<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\GoLive;
use App\Actions\Schedule\StartSearch;
use App\Actions\Schedule\WhatIf;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\SearchRequest;
use App\Http\Requests\WhatIfRequest;
use App\Models\Plan;
use App\Queries\Board\LastSearch;
use App\Queries\Board\PlanComparison;
use App\Queries\Board\PlanList;
use App\Queries\Board\SearchPage;
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
        Plan::query()->where('is_live', false)->findOrFail($plan);

        $compared = PlanComparison::of($plan);

        return view('plans.show', [
            'compared' => $compared,
            'plan' => $compared->plan,
            'seen' => (int) Plan::query()->findOrFail(Plan::LIVE)->change_id,
        ]);
    }

    public function search(SearchRequest $request, StartSearch $start): RedirectResponse
    {
        $booking = $start->handle(
            $request->integer('seconds'),
            $request->integer('moved_weight'),
            $request->integer('seed', 1),
            $request->signed(),
        );

        return $this->done(to_route('plans.watch', LastSearch::find()?->id), $booking);
    }

    /** A search as it runs, and what it came to. */
    public function watch(int $search): View
    {
        $page = SearchPage::of($search);
        abort_if($page === null, 404, 'There is no such search.');

        return view('plans.watch', ['page' => $page]);
    }

    public function stop(int $search, StartSearch $start): RedirectResponse
    {
        $start->stop($search);

        return to_route('plans.watch', $search)->with('said', 'The search stops and keeps the best it found.');
    }

    public function store(WhatIfRequest $request, WhatIf $whatIf): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            to_route('plans.index'),
            $whatIf->copy($typed['name'] ?? '', $request->signed()),
        );
    }

    public function again(DeedRequest $request, int $plan, WhatIf $whatIf): RedirectResponse
    {
        return $this->done(to_route('plans.show', $plan), $whatIf->again($plan, $request->signed()));
    }

    public function live(DeedRequest $request, int $plan, GoLive $goLive): RedirectResponse
    {
        return $this->done(
            to_route('board'),
            $goLive->handle(
                $plan,
                $request->filled('seen') ? $request->integer('seen') : null,
                $request->signed(),
            ),
        );
    }

    public function destroy(DeedRequest $request, int $plan, WhatIf $whatIf): RedirectResponse
    {
        return $this->done(to_route('plans.index'), $whatIf->discard($plan, $request->signed()));
    }
}
