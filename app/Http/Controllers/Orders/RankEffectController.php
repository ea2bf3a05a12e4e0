<?php

namespace App\Http\Controllers\Orders;

use App\Actions\Orders\PlaceInRank;
use App\Http\Controllers\Controller;
use App\Http\Requests\Orders\RankRequest;
use App\Models\Order;
use App\View\ChangeWords;
use App\View\RankEffect;
use Illuminate\Contracts\View\View;

/** What another rank would do, before it is kept. */
class RankEffectController extends Controller
{
    use ShowsRank;

    public function store(RankRequest $request, PlaceInRank $place): View
    {
        [$order, $before] = $request->move();

        return $this->page(new RankEffect(
            Order::query()->findOrFail($order),
            $before === null ? null : Order::query()->findOrFail($before),
            ChangeWords::of($place->effect($order, $before)),
            Order::query()->with('item')->findMany($place->servants($order, $before)),
        ));
    }
}
