<?php

namespace App\Http\Controllers;

use App\Actions\Orders\PlaceInRank;
use App\Http\Requests\DeedRequest;
use App\Models\Order;
use App\Queries\Orders\PaceStrips;
use App\Queries\Orders\RankedOrder;
use App\View\RankEffect;
use App\Wording\ChangeWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The one rank of orders, changed by drag or by keyboard, its effect shown before it is kept. */
class RankController extends Controller
{
    public function index(): View
    {
        return $this->page(null);
    }

    public function preview(DeedRequest $request, PlaceInRank $place): View
    {
        [$order, $before] = $this->typed($request);

        return $this->page(new RankEffect(
            Order::query()->findOrFail($order),
            $before === null ? null : Order::query()->findOrFail($before),
            ChangeWords::of($place->effect($order, $before)),
            Order::query()->with('item')->findMany($place->servants($order, $before)),
        ));
    }

    public function store(DeedRequest $request, PlaceInRank $place): RedirectResponse
    {
        [$order, $before] = $this->typed($request);

        return $this->done(
            to_route('rank.index'),
            $place->handle($order, $before, $request->signed(), $request->boolean('with_servants')),
        );
    }

    /**
     * "12-7": order 12 before order 7; "12-0": last of all.
     *
     * @return array{int, int|null}
     */
    private function typed(DeedRequest $request): array
    {
        $typed = $request->validate([
            'move' => ['required', 'string', 'regex:/^\d{1,18}-\d{1,18}$/'],
            'with_servants' => ['nullable', 'boolean'],
        ], ['move.*' => 'Drag the row again: it did not say where to.']);
        [$order, $before] = array_map(intval(...), explode('-', $typed['move']));

        return [$order, $before === 0 ? null : $before];
    }

    private function page(?RankEffect $effect): View
    {
        $rows = RankedOrder::all();

        return view('rank.index', [
            'rows' => $rows,
            'strips' => PaceStrips::for(collect($rows)->pluck('order')),
            'effect' => $effect,
        ]);
    }
}
