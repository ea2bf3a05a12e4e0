<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Numbers;
use App\Models\Calendar;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Routing;
use App\Models\Structure;
use App\Models\StructureLine;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Quantity;
use KeepPace\Core\Refused;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\Need;
use KeepPace\Core\Structure\Structures;

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
        'family',
        'alternatives',
        'setup_crew',
        'machine_minutes',
        'yield_percent',
        'may_be_interrupted',
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
        $today = now(config()->string('pace.zone'))->toDateString();
        $structure = $this->effective(Structure::class, $item->id, $today);
        $routing = $this->effective(Routing::class, $item->id, $today);
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
        $this->steps($order, $routing instanceof Routing ? $routing : null, $quantity);
        $this->components($order, $structure instanceof Structure ? $structure : null, $quantity);
        $ledger->records->made($order);

        return $order;
    }

    private function steps(Order $order, ?Routing $routing, BigDecimal $quantity): void
    {
        foreach ($routing?->steps()->get() ?? [] as $master) {
            $step = new OrderStep([
                'order_id' => $order->id,
                'number' => $master->number,
                'source_step_id' => $master->id,
                ...$master->only(self::STEP),
            ]);
            $step->baseline_minutes = $step->planned_minutes = $this->minutes($step, $quantity);
            $step->save();
        }
    }

    private function components(Order $order, ?Structure $structure, BigDecimal $quantity): void
    {
        $first = $order->steps()->min('number') ?? 10;
        $needs = $this->needs($order->item, $structure, $quantity);
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
                'step_number' => $need->step ?? $first,
                'source_line_id' => (int) $need->line->id,
                'baseline_quantity' => $amount,
                'planned_quantity' => $amount,
                'basis' => $need->takes->basis,
                'ratio_p' => (string) $need->takes->ratio->simplified()->getNumerator(),
                'ratio_q' => (string) $need->takes->ratio->simplified()->getDenominator(),
                'line_quantity' => $lines[(int) $need->line->id]->quantity,
                'phantom_item_id' => $need->through,
                ...$lines[(int) $need->line->id]->only(self::LINE),
            ]);
        }
    }

    /**
     * What an order for $quantity takes by the master structure, phantoms passed through by what is in force today.
     *
     * @return list<Need>
     */
    private function needs(Item $item, ?Structure $structure, BigDecimal $quantity): array
    {
        if ($structure === null) {
            return [];
        }
        $lines = [(string) $item->id => $this->lines($structure)];
        $phantoms = [];
        $open = $lines[(string) $item->id];
        while (($line = array_pop($open)) !== null) {
            $component = Item::query()->findOrFail((int) $line->item);
            if ($component->kind === ItemKind::Phantom && ! isset($phantoms[$line->item])) {
                $phantoms[$line->item] = true;
                $today = now(config()->string('pace.zone'))->toDateString();
                $inner = $this->effective(Structure::class, $component->id, $today);
                $lines[$line->item] = $inner instanceof Structure ? $this->lines($inner) : [];
                array_push($open, ...$lines[$line->item]);
            }
        }

        return (new Structures($lines, $phantoms))->components((string) $item->id, BigRational::of($quantity));
    }

    /** Minutes of an order step; an outside step has its lead time in elapsed minutes. */
    public function minutes(OrderStep $step, BigDecimal $quantity): int
    {
        return $step->supplier_id !== null ? $step->lead_time_days * 1440 : $step->time()->minutes($quantity);
    }

    /** The date an order must be finished to ship on a date: some working days before. */
    public function finishBy(string $shipOn): string
    {
        return Calendar::query()
            ->with(['shifts', 'days'])
            ->where('code', config()->string('pace.calendar'))
            ->first()
            ?->toCore()
            ->workingDaysFrom($shipOn, -config()->integer('pace.finish_days_before')) ?? $shipOn;
    }

    /** Planned cost of one component: today's average in stores, else the item's planning cost; cents, half up. */
    public function plannedValue(Item $item, BigDecimal $quantity): int
    {
        $there = DB::table('stock_values')->where('item_id', $item->id)->where('quantity', '>', 0)
            ->selectRaw('SUM(quantity) AS quantity, SUM(value) AS value')->first();

        return $there?->quantity === null || $item->costing === 'standard'
            ? $quantity->multipliedBy($item->cost)->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP)->toInt()
            : BigRational::of($there->value)
                ->multipliedBy($quantity)
                ->dividedBy($there->quantity)
                ->toScale(0, RoundingMode::HALF_UP)
                ->toInt();
    }

    /**
     * The approved revision in force on a date: the latest by its date.
     *
     * @template T of Structure|Routing
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    private function effective(string $kind, int $item, string $date): Structure|Routing|null
    {
        return $kind::query()->where('item_id', $item)->where('status', 'approved')
            ->where(fn ($query) => $query->whereNull('effective_from')->orWhere('effective_from', '<=', $date))
            ->orderByRaw('effective_from IS NULL, effective_from DESC, id DESC')->first();
    }

    /** @return list<\KeepPace\Core\Structure\Line> */
    private function lines(Structure $structure): array
    {
        return array_values($structure->lines()->with(['unit', 'item.unit', 'item.units.unit'])->get()
            ->map(fn (StructureLine $line) => $line->toCore())->all());
    }
}
