<?php

namespace App\Http\Controllers;

use App\Actions\Orders\PlaceInRank;
use App\Http\Requests\RankRequest;
use App\Models\Order;
use App\Queries\Orders\PaceStrips;
use App\Queries\Orders\RankedOrder;
use App\View\ChangeWords;
use App\View\RankEffect;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The one rank of orders, changed by drag or by keyboard, its effect shown before it is kept. */
class RankController extends Controller
{
    public function index(): View
    {
        return $this->page(null);
    }

    public function preview(RankRequest $request, PlaceInRank $place): View
    {
        [$order, $before] = $request->move();

        return $this->page(new RankEffect(
            Order::query()->findOrFail($order),
            $before === null ? null : Order::query()->findOrFail($before),
            ChangeWords::of($place->effect($order, $before)),
            Order::query()->with('item')->findMany($place->servants($order, $before)),
        ));
    }

    public function store(RankRequest $request, PlaceInRank $place): RedirectResponse
    {
        [$order, $before] = $request->move();

        return $this->done(
            to_route('rank.index'),
            $place->handle($order, $before, $request->signed(), $request->boolean('with_servants')),
        );
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
