<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\PlaceInRank;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\RankRequest;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The one rank of orders, changed by drag or by keyboard, its effect shown before it is kept. */
class RankController extends Controller
{
    use ShowsRank;

    public function index(): View
    {
        return $this->page(null);
    }

    public function store(RankRequest $request, PlaceInRank $place): RedirectResponse
    {
        [$order, $before] = $request->move();

        return $this->done(
            to_route('rank.index'),
            $place->handle($order, $before, $request->signed(), $request->boolean('with_servants')),
        );
    }
}
