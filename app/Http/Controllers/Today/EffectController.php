<?php

namespace App\Http\Controllers\Today;

use App\Http\Controllers\Controller;
use App\Jobs\TryLevers;
use App\Queries\Board\EffectOf;
use App\Queries\Board\LeverPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** What a booking did to the dates, asked for by the page it was made on until it is planned. */
class EffectController extends Controller
{
    public function show(int $booking): Response|View
    {
        $effect = EffectOf::booking($booking);
        $says = $effect->says();

        return match (true) {
            ! $effect->isPlanned => response('', Response::HTTP_ACCEPTED),
            $says === '' => response()->noContent(),
            default => view('bookings.effect', [
                'says' => $says,
                'cures' => $effect->worst === null ? null : LeverPage::of(TryLevers::soFar($effect->worst, '')),
            ]),
        };
    }
}
