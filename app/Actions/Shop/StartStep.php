<?php

namespace App\Actions\Shop;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\OrderStep;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Refused;

/** A person starts a step; the clock runs until the next count. */
final class StartStep
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(int $stepId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Start, $signed, new Part(
            Needs::orders([OrderStep::query()->findOrFail($stepId)->order_id]),
            function (Ledger $ledger, Held $held) use (
                $stepId,
                $signed,
            ): void {
                $step = OrderStep::query()->findOrFail($stepId);
                $order = $held->order($step->order_id);
                $order->assertMay(OrderDeed::Start);
                if ($step->started_at !== null) {
                    throw StepRefused::runsAlready($order->number, $step->label());
                }
                if (! $step->pieces()->toDo()->isPositive()) {
                    throw OrderRefused::nothingThere($order->number, $step->label());
                }
                $ledger->counts->started($step, $signed->person->id);
                $ledger->concerns($order);
                $ledger->says("{$order->number} {$step->label()} started.");
            },
        ));
    }
}
