<?php

namespace App\Http\Controllers\Demand;

use App\Actions\Schedule\AskPromise;
use App\Actions\Schedule\PromiseAnswer;
use App\Http\Controllers\Controller;
use App\Http\Requests\Demand\PromiseRequest;
use App\Models\Item;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\ShopState;
use App\View\PromiseDate;
use App\View\ShownPromise;
use App\Wording\ArrivalWords;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Http\RedirectResponse;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Scheduling\Promise\Promised;

/** Which date can be promised, asked without holding it. */
class AskedPromiseController extends Controller
{
    public function store(PromiseRequest $request, AskPromise $ask): RedirectResponse
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
