<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\AskPromise;
use App\Actions\Schedule\HoldPromise;
use App\Actions\Schedule\PromiseAnswer;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PromiseRequest;
use App\Models\Item;
use App\Queries\Board\PromiseList;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\ShopState;
use App\View\PromiseDate;
use App\View\ShownPromise;
use App\Wording\ArrivalWords;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Scheduling\Promise\Promised;

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

    public function ask(PromiseRequest $request, AskPromise $ask): RedirectResponse
    {
        $item = $request->item();
        $answer = $ask->handle(
            $item->id,
            $request->quantity(),
            $request->person(),
        );
        $wanted = $request->validated('wanted');

        return to_route('promise.index')
            ->withInput($request->except('_token'))
            ->with('answer', $this->shown($item, $answer, is_string($wanted) ? $wanted : null));
    }

    public function store(PromiseRequest $request, HoldPromise $hold): RedirectResponse
    {
        return $this->done(to_route('promise.index'), $hold->handle($request->promised(), $request->signed()));
    }

    public function destroy(DeedRequest $request, int $promise, HoldPromise $hold): RedirectResponse
    {
        return $this->done(back(), $hold->release($promise, $request->signed()));
    }

    private function shown(Item $item, PromiseAnswer $answer, ?string $wanted): ShownPromise
    {
        $date = fn (?Promised $one): ?PromiseDate => $one === null ? null : new PromiseDate($one->finish);
        $due = $wanted === null ? null : $this->due($wanted);
        $insist = $due === null ? null : $answer->promise?->insisting($due);

        return new ShownPromise(
            $item->name,
            $item->unit->code,
            Amount::plain($answer->fromStock),
            Amount::plain($answer->made),
            array_map(ArrivalWords::ifOrdered(...), $answer->buy),
            $date($answer->movingNobody()),
            $date($answer->usingSlack()),
            $wanted,
            $date($insist),
            $insist !== null && $insist->finish <= $due,
            $due === null || $insist === null ? [] : $answer->lateIfBy($due),
        );
    }

    private function due(string $date): int
    {
        return ShopState::minute(CarbonImmutable::parse($date.' '.Settings::text(Setting::DueHour), When::zone()));
    }
}
