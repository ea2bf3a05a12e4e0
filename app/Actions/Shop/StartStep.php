<?php

namespace App\Actions\Shop;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Books\StepClock;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderStep;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
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
        return $this->bookings->once(BookingKind::Start, $signed, function (Ledger $ledger) use (
            $stepId,
            $signed,
        ): void {
            $order = Order::query()
                ->lockForUpdate()
                ->findOrFail(OrderStep::query()->findOrFail($stepId)->order_id);
            $step = OrderStep::query()->findOrFail($stepId);
            $order->assertMay(OrderDeed::Start);
            if ($step->started_at !== null) {
                throw OrderRefused::runsAlready($order->number, $step->label());
            }
            if (! $step->pieces()->toDo()->isPositive()) {
                throw OrderRefused::nothingThere($order->number, $step->label());
            }
            (new StepClock($step))->start($signed->person->id);
            $ledger->booking->stepEntries()->create(['order_step_id' => $step->id]);
            $ledger->concerns($order);
            $ledger->says("{$order->number} {$step->label()} started.");
        });
    }
}
