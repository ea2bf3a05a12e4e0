<?php

namespace App\Actions\Outside;

use App\Books\Said;
use App\Models\ConsignmentLine;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\PurchaseLine;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\WorkWanted;
use Carbon\CarbonImmutable;
use KeepPace\Core\Refused;

/** The day on which a handful of pieces is back from a supplier, as somebody said it. */
final class BackDay
{
    /** @throws Refused when all of it is back */
    public static function assertAway(int $id, OrderStep $step, Order $order): ConsignmentLine
    {
        if (! Away::handfuls()->where('h.id', $id)->exists()) {
            throw Refused::because("All of it is back from {$step->label()} of order {$order->number}.");
        }

        return ConsignmentLine::query()->findOrFail($id);
    }

    /**
     * @param  string  $what  the handful, with a colon
     * @param  string  $on  "YYYY-MM-DD"
     * @return string what was said, in a sentence
     *
     * @throws Refused for a day that has passed
     */
    public static function said(ConsignmentLine $handful, string $what, string $on): string
    {
        $deliveries = Deliveries::now();
        if ($on < $deliveries->today) {
            throw Refused::because('It cannot be back before today.', 'expected_on');
        }
        $was = $handful->back_at->setTimezone(config()->string('pace.zone'))->toDateString();
        self::set($handful, $deliveries, $on);
        self::onWork((int) $handful->order_step_id, $on);

        return "{$what} back on ".Said::day($on).', before '.Said::day($was).'.';
    }

    /**
     * The supplier of ordered work said another day: the pieces that are there come then.
     *
     * @param  string  $on  "YYYY-MM-DD"
     */
    public static function ofWork(PurchaseLine $line, string $on): void
    {
        $there = ConsignmentLine::query()->where('order_step_id', $line->order_step_id)->where('there', '>', 0);
        foreach ($there->orderBy('id')->get() as $handful) {
            self::set($handful, Deliveries::now(), $on);
            $handful->save();
        }
    }

    /**
     * The day on which pieces that go now are back: the one the supplier confirmed; else his lead time from now, which
     * is then the day of the work too.
     *
     * @return string UTC
     */
    public static function ofSending(Deliveries $deliveries, OrderStep $step, CarbonImmutable $now): string
    {
        $zone = config()->string('pace.zone');
        $promised = WorkWanted::confirmedOn($step->id);
        if ($promised !== null) {
            return $deliveries->at($promised, $now->setTimezone($zone)->format('H:i'));
        }
        $back = $deliveries->backFrom($now, $step->supplier_id, $step->daysAway());
        self::onWork($step->id, CarbonImmutable::parse($back, 'UTC')->setTimezone($zone)->toDateString());

        return $back;
    }

    /** Pieces that are there come on another day: so does the work that is ordered on them. */
    public static function onWork(int $step, string $on): void
    {
        PurchaseLine::query()
            ->where('order_step_id', $step)
            ->where('is_open', true)
            ->update(['expected_on' => $on, 'ask_again_on' => null]);
    }

    private static function set(ConsignmentLine $handful, Deliveries $deliveries, string $on): void
    {
        $before = $handful->back_at->setTimezone(config()->string('pace.zone'));
        $handful->fill([
            'first_back_at' => $handful->first_back_at ?? $handful->back_at,
            'days_passed' => $handful->days_passed + ($before->toDateString() < $deliveries->today ? 1 : 0),
            'back_at' => $deliveries->at($on, $before->format('H:i')),
            'ask_again_on' => null,
        ]);
    }

    /**
     * Nobody knows it.
     *
     * @param  string  $what  the handful, with a colon
     * @param  string  $again  the day on which it is asked again
     * @return string what was said, in a sentence
     *
     * @throws Refused for a day that has come
     */
    public static function unknown(ConsignmentLine $handful, string $what, string $again): string
    {
        if ($again <= Deliveries::now()->today) {
            throw Refused::because('Ask again on a day after today.', 'expected_on');
        }
        $handful->ask_again_on = $again;

        return "{$what} back nobody knows when; asked again on ".Said::day($again).'.';
    }
}
