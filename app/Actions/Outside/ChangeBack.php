<?php

namespace App\Actions\Outside;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\ConsignmentLine;
use App\Models\OrderStep;
use KeepPace\Core\Refused;

/** A handful of pieces at a supplier comes back on another day, or nobody knows when. */
final class ChangeBack
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $on  the day the supplier says now.
     *
     * @throws Refused
     */
    public function date(int $id, string $on, Signed $signed): Booking
    {
        return $this->change(
            $id,
            $signed,
            fn (ConsignmentLine $handful, string $what): string => BackDay::said($handful, $what, $on),
        );
    }

    /**
     * Nobody knows when.
     *
     * @param  string  $on  the day on which it is asked again.
     *
     * @throws Refused
     */
    public function askAgain(int $id, string $on, Signed $signed): Booking
    {
        return $this->change(
            $id,
            $signed,
            fn (ConsignmentLine $handful, string $what): string => BackDay::unknown($handful, $what, $on),
        );
    }

    /** @param  \Closure(ConsignmentLine, string): string  $work */
    private function change(int $id, Signed $signed, \Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::BackChanged,
            $signed,
            new Part(self::needs($id), function (Ledger $ledger, Held $held) use ($id, $work): void {
                $step = OrderStep::query()->findOrFail(ConsignmentLine::query()->findOrFail($id)->order_step_id);
                $order = $held->order($step->order_id);
                $handful = BackDay::assertAway($id, $step, $order);
                $said = $work($handful, "{$order->number} {$step->label()}:");
                $handful->save();
                $ledger->concerns($order);
                $ledger->says($said);
            }),
        );
    }

    /** Their order, and the purchase orders on which the work on them is ordered. */
    public static function needs(int $id): Needs
    {
        return Needs::orders([self::orderOf($id)])
            ->and(WorkDone::needs((int) ConsignmentLine::query()->findOrFail($id)->order_step_id));
    }

    /** The order whose pieces they are. */
    private static function orderOf(int $id): int
    {
        return OrderStep::query()->findOrFail(ConsignmentLine::query()->findOrFail($id)->order_step_id)->order_id;
    }
}
