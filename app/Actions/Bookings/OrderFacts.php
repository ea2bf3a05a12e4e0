<?php

namespace App\Actions\Bookings;

use App\Models\Order;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderState;

/** The state of an order, derived from what has been booked on it. */
final class OrderFacts
{
    public static function state(Order $order): OrderState
    {
        if ($order->state === OrderState::Cancelled || $order->state === OrderState::Proposed) {
            return $order->state;
        }
        if ($order->closed_at !== null) {
            return OrderState::Closed;
        }
        if ($order->released_at === null) {
            return OrderState::Firm;
        }
        $worked = $order->components()->where('used_quantity', '>', 0)->exists();
        $started = BigDecimal::zero();
        $out = BigDecimal::of($order->received_quantity);
        foreach ($order->steps()->get() as $i => $step) {
            $started = $i === 0 ? BigDecimal::of($step->taken_in) : $started;
            $out = $out->plus($step->scrap);
            $worked = $worked || $step->started_at !== null || ! BigDecimal::of($step->good)->plus($step->scrap)->isZero();
        }

        return OrderState::derived($worked, $started, $out);
    }
}
