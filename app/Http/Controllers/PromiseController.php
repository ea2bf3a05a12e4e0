<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\AskPromise;
use App\Actions\Schedule\HoldPromise;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\PromiseRequest;
use App\Queries\Board\PromiseList;
use App\Queries\Shop\ShopState;
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
        ]);
    }

    public function ask(PromiseRequest $request, AskPromise $ask): RedirectResponse
    {
        $item = $request->item();
        $answer = $ask->handle(
            $item->id,
            $request->validated('quantity'),
            $request->validated('unit') ?: null,
            $request->person(),
        );
        $say = fn (?Promised $one): ?array => $one === null
            ? null
            : ['finish' => $one->finish, 'says' => When::say($one->finish)];
        $wanted = $request->validated('wanted');

        return to_route('promise.index')
            ->withInput($request->except('_token'))
            ->with('answer', [
                'item' => $item->name,
                'unit' => $item->unit->code,
                'stock' => Amount::plain($answer->fromStock),
                'made' => Amount::plain($answer->made),
                'buy' => array_map(ArrivalWords::ifOrdered(...), $answer->buy),
                'nobody' => $say($answer->movingNobody()),
                'slack' => $say($answer->usingSlack()),
                'wanted' => $wanted,
                'insist' => $wanted === null || $answer->promise === null
                        ? null
                        : $this->insist(
                            $answer->promise->insisting($this->due($wanted)),
                            $this->due($wanted),
                            $answer->lateIfBy($this->due($wanted)),
                        ),
            ]);
    }

    public function store(PromiseRequest $request, HoldPromise $hold): RedirectResponse
    {
        $said = $request->filled('finish')
            ? CarbonImmutable::createFromTimestamp($request->integer('finish') * 60)
            : null;

        return $this->done(
            to_route('promise.index'),
            $hold->handle(
                $request->item()->id,
                $request->validated('quantity'),
                $request->validated('unit') ?: null,
                $request->validated('how') === 'slack',
                $request->integer('hours', 4),
                $request->string('for')->trim()->value(),
                $said,
                $request->token(),
                $request->person(),
            ),
        );
    }

    public function destroy(DeedRequest $request, int $promise, HoldPromise $hold): RedirectResponse
    {
        return $this->done(back(), $hold->release($promise, $request->token(), $request->person()));
    }

    /**
     * @param  array<string, int>  $late
     * @return array{says: string, inTime: bool, late: array<string, int>}|null
     */
    private function insist(?Promised $best, int $due, array $late): ?array
    {
        return $best === null
            ? null
            : ['says' => When::say($best->finish), 'inTime' => $best->finish <= $due, 'late' => $late];
    }

    private function due(string $date): int
    {
        return ShopState::minute(CarbonImmutable::parse($date.' '.config()->string('pace.due_hour'), When::zone()));
    }
}
