<?php

namespace App\Http\Controllers;

use App\Actions\Schedule\WhatIf;
use App\Http\Requests\DeedRequest;
use App\Http\Requests\Rules;
use App\Models\Order;
use App\Models\Plan;
use App\Queries\Board\LateOrders;
use App\Queries\Board\LeverOffers;
use App\Queries\Board\StandingPlan;
use App\Queries\Board\WhyLate;
use App\Queries\Orders\PaceStrips;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\LateFor;
use KeepPace\Core\Refused;

/** Orders that will miss their date: why, and what would help. */
class LateController extends Controller
{
    public function index(): View
    {
        $orders = LateOrders::all();

        return view(
            'late.index',
            [
                'orders' => $orders,
                'forParts' => $orders->where('late_for', LateFor::Parts)->count(),
                'forTime' => $orders->where('late_for', '!==', LateFor::Parts)->count(),
                'strips' => PaceStrips::for($orders),
            ],
        );
    }

    public function show(int $order): View
    {
        $why = new WhyLate($standing = StandingPlan::of());

        return view('late.show', [
            'order' => Order::query()->with('item')->findOrFail($order),
            'rows' => $why->rows($order, true),
            'stretches' => $why->rows($order, false),
            'sentence' => $why->sentence($order),
            'planned' => DB::table('plan_orders')->where('plan_id', Plan::LIVE)->where('order_id', $order)->first(),
            'now' => $standing->problem()->now,
        ]);
    }

    /** Each lever tried: takes a second or two, so the page asks for it on its own. */
    public function levers(int $order): View
    {
        return view('late.levers', [
            'order' => Order::query()->findOrFail($order),
            'offers' => LeverOffers::of($order),
        ]);
    }

    public function store(DeedRequest $request, int $order, WhatIf $whatIf): RedirectResponse
    {
        $typed = $request->validate(['says' => ['required', ...Rules::text(200)]]);
        $offer = collect(LeverOffers::of($order))->firstWhere('says', $typed['says']);
        if ($offer === null) {
            throw Refused::because(
                'The plan has changed since, and that is not among the levers any more. Open the page again.',
            );
        }

        return $this->done(
            to_route('plans.index'),
            $whatIf->tryLever($order, $offer['lever'], $request->token(), $request->person()),
        );
    }
}
