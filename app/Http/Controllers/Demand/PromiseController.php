<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Schedule\HoldPromise;
use App\Http\Controllers\Controller;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Demand\PromiseRequest;
use App\Queries\Board\PromiseList;
use App\Settings\Setting;
use App\Settings\Settings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Promising a date for something not ordered yet, and holding it. */
class PromiseController extends Controller
{
    public function index(Request $request): View
    {
        return view('promise.index', [
            'held' => PromiseList::held(),
            'answer' => session('answer'),
            'asked' => $request->only(['item', 'quantity', 'wanted']),
            'hours' => Settings::whole(Setting::HoldHours),
        ]);
    }

    public function store(PromiseRequest $request, HoldPromise $hold): RedirectResponse
    {
        return $this->done(to_route('promise.index'), $hold->handle($request->promised(), $request->signed()));
    }

    public function destroy(DeedRequest $request, int $promise, HoldPromise $hold): RedirectResponse
    {
        return $this->done(back(), $hold->release($promise, $request->signed()));
    }
}
