<?php

namespace App\Http\Controllers\Builds;

use App\Models\Item;
use App\Models\Order;
use Brick\Math\BigDecimal;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use KeepPace\Core\Refused;

/** What is asked of a build, and where it goes on when it is booked. */
trait OfBuild
{
    /** A quantity in the address; null = none that can be read. */
    private function amount(Request $request, string $field, Item $item, bool $orNone = false): ?BigDecimal
    {
        $typed = $request->string($field)->trim()->value();
        try {
            $amount = $typed === '' ? null : $item->quantity($typed)->amount;
        } catch (Refused) {
            return null;
        }

        return $amount !== null && ($amount->isPositive() || ($orNone && $amount->isZero())) ? $amount : null;
    }

    /** On with it as long as some is left. */
    private function next(int $order): RedirectResponse
    {
        $isOpen = Order::query()->findOrFail($order)->state->isOpen();

        return $isOpen ? to_route('builds.show', $order) : to_route('builds.index');
    }
}
