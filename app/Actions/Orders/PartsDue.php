<?php

namespace App\Actions\Orders;

use App\Models\Order;
use App\Models\OrderStep;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\PlantCalendar;
use App\Shop\Ties;
use App\Shop\WorkCentreHours;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\OrderState;

/**
 * When the parts made for an order are due: when the step that takes them has to begin for the order to keep its own
 * date, reckoned back through its steps in the hours of their work centres, as if nothing stood in the way.
 */
final class PartsDue
{
    /** Days looked up before the date of the order. */
    private const BACK = 400;

    /** @return string|null "YYYY-MM-DD", a day on which the plant works; null when the order itself has no date */
    public function on(Order $order, int $stepNumber): ?string
    {
        if ($order->due_on === null) {
            return null;
        }
        $plant = PlantCalendar::orEveryDay();
        $hour = Settings::text(Setting::DueHour);
        $needed = $plant->minute($order->due_on, $hour);
        foreach ($order->steps()->get()->sortByDesc('number') as $step) {
            $needed = $this->start($step, $needed);
            if ($step->number <= $stepNumber) {
                break;
            }
        }
        $day = $plant->date($needed);
        $isInTime = $plant->isWorkingDay($day) && $plant->minute($day, $hour) <= $needed;

        return $isInTime ? $day : $plant->workingDaysFrom($day, -1);
    }

    /**
     * An order has another date: those made for it follow, and those made for them.
     *
     * @return array<int, array{string, string}> before and after, by the order that changes
     */
    public function followed(Order $order): array
    {
        $changed = [];
        foreach (self::madeFor([$order->id]) as $part) {
            $step = $order->components()->where('item_id', $part->item_id)->min('step_number');
            $due = $step === null ? null : $this->on($order, (int) $step);
            if ($due !== null && $due !== $part->due_on) {
                $changed[$part->id] = [(string) $part->due_on, $due];
                $part->due_on = $due;
                $changed += $this->followed($part);
            }
        }

        return $changed;
    }

    /**
     * All that is made for an order, at every level, for their locks.
     *
     * @return list<int>
     */
    public static function below(int $order): array
    {
        $all = [];
        for ($ids = [$order]; $ids !== []; array_push($all, ...$ids)) {
            $ids = array_values(array_diff(self::madeFor($ids)->pluck('id')->all(), $all));
        }

        return $all;
    }

    /** A wait runs through closed time, all else of a step in the hours of its work centre. */
    private function start(OrderStep $step, int $end): int
    {
        $end -= $step->wait_minutes + $step->move_minutes;
        if ($step->work_centre_id === null) {
            return $end - $step->planned_minutes;
        }
        $open = WorkCentreHours::between($step->work_centre_id, $end - self::BACK * 1440, $end);

        return $open->startFor($end, $step->planned_minutes) ?? $end - $step->planned_minutes;
    }

    /**
     * @param  list<int>  $orders
     * @return Collection<int, Order>
     */
    private static function madeFor(array $orders): Collection
    {
        return Order::query()
            ->whereKey(Ties::partsOf($orders))
            ->whereIn('state', OrderState::OPEN)
            ->orderBy('id')
            ->get();
    }
}
