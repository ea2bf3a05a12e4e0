<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Numbers;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Settings\Setting;
use App\Settings\Settings;
use App\Shop\PlantCalendar;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;

/** Makes an order as a copy of the item's approved structure and routing; the master is not touched by it again. */
final class OrderCopy
{
    /** What a step of an order takes from where it is copied: names of columns. */
    public const STEP = [
        'name',
        'work_centre_id',
        'supplier_id',
        'setup_minutes',
        'run_basis',
        'run_rate',
        'batch',
        'crew',
        'wait_minutes',
        'move_minutes',
        'lead_time_days',
        'price',
        'instructions',
        'family_id',
        'setup_crew',
        'machine_minutes',
        'yield_percent',
        'may_be_interrupted',
        'transfer_quantity',
        'qualification',
        'tools',
        'is_inspected',
        'has_first_article',
        'counts_before',
        'transport_days',
        'minimum_cents',
        'setup_cents',
        'work_ordered',
        'service_item_id',
    ];

    /**
     * @param  string|null  $number  typed; null = the next running number, taken last
     *
     * @throws Refused when the item is not made here
     */
    public function make(Ledger $ledger, Item $item, BigDecimal $quantity, ?string $dueOn, ?OrderComponent $for = null,
        ?string $number = null): Order
    {
        if (! $item->isMade()) {
            throw OrderRefused::notMade($item->label(), $item->kind->value);
        }
        $item->assertMoreOfIt();
        $masters = Masters::today();
        $structure = $masters->structure($item);
        $structure = UsedUp::next($ledger, $item, $masters->exploded($item, $structure, $quantity)) ?? $structure;
        $from = CopiedFrom::of($masters, $item, $structure, $quantity);
        $order = Order::query()->create([
            'number' => $number ?? Numbers::next('order'),
            'item_id' => $item->id,
            'quantity' => (string) $quantity,
            'state' => OrderState::Firm,
            'is_held' => false,
            'structure_id' => $structure?->id,
            'routing_id' => $from->routing?->id,
            'due_on' => $dueOn,
            'rank' => $for === null ? 500 : $for->order->rank,
        ])->refresh();
        $ledger->outputs->begin($order, $from->beside());
        $for === null ?: $ledger->madeFor->tie($order, $for, $quantity);
        foreach ($from->steps->rows($quantity) as $row) {
            $this->timed(new OrderStep(['order_id' => $order->id, ...$row]), $quantity)->save();
        }
        self::ways($order);
        foreach ($from->components() as $row) {
            $order->components()->create($row);
        }
        $ledger->records->made($order);

        return $order;
    }

    /** With the minutes its own columns come to. */
    public function timed(OrderStep $step, BigDecimal $quantity): OrderStep
    {
        $step->baseline_minutes = self::alone($step, $quantity);
        $step->planned_minutes = $this->minutes($step, $quantity);

        return $step;
    }

    /** The other work centres its steps can be done at, as the routing has them. */
    public static function ways(Order $order): void
    {
        DB::table('order_step_ways')->insertUsing(
            ['order_step_id', 'work_centre_id', 'percent'],
            DB::table('routing_step_ways AS y')
                ->join('order_steps AS s', 's.source_step_id', 'y.routing_step_id')
                ->where('s.order_id', $order->id)
                ->orderBy('s.number')
                ->orderBy('y.id')
                ->select(['s.id', 'y.work_centre_id', 'y.percent']),
        );
    }

    /** A piece of an order can be done wherever the whole could. */
    public static function waysOf(OrderStep $from, OrderStep $to): void
    {
        DB::table('order_step_ways')->insertUsing(
            ['order_step_id', 'work_centre_id', 'percent'],
            DB::table('order_step_ways')
                ->where('order_step_id', $from->id)
                ->orderBy('id')
                ->selectRaw('?, work_centre_id, percent', [$to->id]),
        );
    }

    /** Minutes of an order step, with its share of a set-up; an outside step has its lead time in elapsed minutes. */
    public function minutes(OrderStep $step, BigDecimal $quantity): int
    {
        return $step->supplier_id !== null ? $step->daysAway() * 1440 : $step->time()->minutes($quantity);
    }

    /** Set up by itself. */
    private static function alone(OrderStep $step, BigDecimal $quantity): int
    {
        return $step->supplier_id !== null ? $step->daysAway() * 1440 : $step->timeAlone()->minutes($quantity);
    }

    /**
     * The date an order must be finished to ship on a date: some working days before.
     *
     * @param  int|null  $days  of the customer; null = as the shop has it
     */
    public function finishBy(string $shipOn, ?int $days = null): string
    {
        return PlantCalendar::known()
            ?->workingDaysFrom($shipOn, -($days ?? Settings::whole(Setting::FinishDaysBefore))) ?? $shipOn;
    }
}
