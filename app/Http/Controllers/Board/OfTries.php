<?php

namespace App\Http\Controllers\Board;

use App\Jobs\TryLevers;
use App\Models\Order;
use App\Queries\Board\LeverPage;
use Illuminate\Http\Request;

/** What was tried for a late order so far, on the plan it was asked for on. */
trait OfTries
{
    private function tries(Request $request, int $order): LeverPage
    {
        Order::query()->findOrFail($order);
        $stamp = $request->string('of')->limit(40, '')->toString();

        return LeverPage::of(TryLevers::soFar($order, $stamp));
    }
}
