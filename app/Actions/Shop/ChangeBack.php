<?php

namespace App\Actions\Shop;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Consignment;
use App\Models\OrderStep;
use App\Shop\Away;
use App\Shop\Deliveries;
use Carbon\CarbonImmutable;
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
        return $this->change($id, $signed, function (
            Consignment $handful,
            string $what,
        ) use ($on): string {
            $deliveries = Deliveries::now();
            if ($on < $deliveries->today) {
                throw Refused::because('It cannot be back before today.', 'expected_on');
            }
            $was = $this->day($handful->back_at);
            $time = $handful->back_at->setTimezone(config()->string('pace.zone'))->format('H:i');
            $handful->fill([
                'first_back_at' => $handful->first_back_at ?? $handful->back_at,
                'days_passed' => $handful->days_passed + ($was < $deliveries->today ? 1 : 0),
                'back_at' => $deliveries->at($on, $time),
                'ask_again_on' => null,
            ]);

            return "{$what} back on ".Said::day($on).', before '.Said::day($was).'.';
        });
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
        return $this->change($id, $signed, function (
            Consignment $handful,
            string $what,
        ) use ($on): string {
            if ($on <= Deliveries::now()->today) {
                throw Refused::because('Ask again on a day after today.', 'expected_on');
            }
            $handful->ask_again_on = $on;

            return "{$what} back nobody knows when; asked again on ".Said::day($on).'.';
        });
    }

    /** @param  \Closure(Consignment, string): string  $work */
    private function change(int $id, Signed $signed, \Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::BackChanged,
            $signed,
            new Part(Needs::orders([self::orderOf($id)]), function (Ledger $ledger, Held $held) use ($id, $work): void {
                $step = OrderStep::query()->findOrFail(Consignment::query()->findOrFail($id)->order_step_id);
                $order = $held->order($step->order_id);
                if (! Away::handfuls()->where('h.id', $id)->exists()) {
                    throw Refused::because("All of it is back from {$step->label()} of order {$order->number}.");
                }
                $handful = Consignment::query()->findOrFail($id);
                $said = $work($handful, "{$order->number} {$step->label()}:");
                $handful->save();
                $ledger->concerns($order);
                $ledger->says($said);
            }),
        );
    }

    private static function orderOf(int $id): int
    {
        return OrderStep::query()->findOrFail(Consignment::query()->findOrFail($id)->order_step_id)->order_id;
    }

    private function day(CarbonImmutable $at): string
    {
        return $at->setTimezone(config()->string('pace.zone'))->toDateString();
    }
}
