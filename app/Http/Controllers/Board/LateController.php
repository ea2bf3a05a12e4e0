<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\WhatIf;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\LeverRequest;
use App\Queries\Board\LateOrder;
use App\Queries\Board\LateOrders;
use App\Queries\Board\WhyPage;
use App\Queries\Orders\PaceStrips;
use App\Shop\LeverTries;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use KeepPace\Core\Refused;

/** Orders that will miss their date: why, and what would help. */
class LateController extends Controller
{
    public function index(): View
    {
        $late = LateOrders::all();
        $forParts = $late->filter(fn (LateOrder $one): bool => $one->isForParts())->count();

        return view('late.index', [
            'late' => $late,
            'forParts' => $forParts,
            'forTime' => $late->count() - $forParts,
            'strips' => PaceStrips::for($late->pluck('order')),
        ]);
    }

    public function show(int $order): View
    {
        $why = WhyPage::of($order);

        return view('late.show', ['why' => $why, 'order' => $why->order]);
    }

    public function store(LeverRequest $request, int $order, WhatIf $whatIf): RedirectResponse
    {
        $typed = $request->validated();
        $offer = LeverTries::of($order, $typed['of'])?->offer($typed['says']);
        if ($offer === null) {
            throw Refused::because(
                'That is not among the levers that were tried, or was an hour ago. Open the page again.',
            );
        }

        return $this->done(
            to_route('plans.index'),
            $whatIf->tryLever($order, $offer->lever, $request->signed()),
        );
    }
}
