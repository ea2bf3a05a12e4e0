<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Numbers;
use App\Models\Calendar;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\StructureLine;
use App\Settings\Setting;
use App\Settings\Settings;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\StepSequence;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\Need;

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
        'service_item_id',
    ];

    /** What a component takes from its line beside what is reckoned from it. */
    private const LINE = ['issue_by', 'supplied_by', 'unit_id', 'scrap_percent', 'designators'];

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
        $routing = $masters->routing($item);
        $order = Order::query()->create([
            'number' => $number ?? Numbers::next('order'),
            'item_id' => $item->id,
            'quantity' => (string) $quantity,
            'state' => OrderState::Firm,
            'is_held' => false,
            'structure_id' => $structure?->id,
            'routing_id' => $routing?->id,
            'due_on' => $dueOn,
            'rank' => $for === null ? 500 : $for->order->rank,
        ])->refresh();
        $ledger->outputs->begin($order);
        $for === null ?: $ledger->madeFor->tie($order, $for, $quantity);
        $exploded = $masters->exploded($item, $structure, $quantity);
        $next = UsedUp::next($ledger, $item, $exploded);
        if ($next !== null) {
            [$structure, $exploded] = [$next, $masters->exploded($item, $next, $quantity)];
        }
        $steps = CopiedSteps::of($masters, $routing, $exploded->phantoms);
        $this->steps($order, $steps, $quantity);
        $this->components($order, $exploded->needs, $steps->sequence);
        $ledger->records->made($order);

        return $order;
    }

    private function steps(Order $order, CopiedSteps $copied, BigDecimal $quantity): void
    {
        foreach ($copied->rows($quantity) as $row) {
            $step = new OrderStep(['order_id' => $order->id, ...$row]);
            $step->baseline_minutes = $step->planned_minutes = $this->minutes($step, $quantity);
            $step->save();
        }
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

    /** @param  list<Need>  $needs */
    private function components(Order $order, array $needs, StepSequence $sequence): void
    {
        $lines = StructureLine::query()
            ->whereKey(array_map(fn (Need $need): int => (int) $need->line->id, $needs))
            ->get()
            ->keyBy('id');
        foreach ($needs as $i => $need) {
            $item = Item::query()->with('unit')->findOrFail((int) $need->line->item);
            $amount = (string) Quantity::roundedUp($need->quantity, $item->unit->toCore())->amount;
            $order->components()->create([
                'position' => ($i + 1) * 10,
                'item_id' => $item->id,
                'step_number' => $sequence->at($need->through, $need->line->step) ?? $need->step ?? 10,
                'source_line_id' => (int) $need->line->id,
                'baseline_quantity' => $amount,
                'planned_quantity' => $amount,
                'basis' => $need->takes->basis,
                'ratio_p' => (string) $need->takes->ratio->simplified()->getNumerator(),
                'ratio_q' => (string) $need->takes->ratio->simplified()->getDenominator(),
                'line_quantity' => $lines[(int) $need->line->id]->quantity,
                'phantom_item_id' => $need->through?->item,
                ...$lines[(int) $need->line->id]->only(self::LINE),
            ]);
        }
    }

    /** Minutes of an order step; an outside step has its lead time in elapsed minutes. */
    public function minutes(OrderStep $step, BigDecimal $quantity): int
    {
        return $step->supplier_id !== null ? $step->lead_time_days * 1440 : $step->time()->minutes($quantity);
    }

    /**
     * The date an order must be finished to ship on a date: some working days before.
     *
     * @param  int|null  $days  of the customer; null = as the shop has it
     */
    public function finishBy(string $shipOn, ?int $days = null): string
    {
        return Calendar::query()
            ->with(['shifts', 'days'])
            ->where('code', config()->string('pace.calendar'))
            ->first()
            ?->toCore()
            ->workingDaysFrom($shipOn, -($days ?? Settings::whole(Setting::FinishDaysBefore))) ?? $shipOn;
    }
}
