<?php

namespace App\Actions\Orders;

use App\Books\Ledger;
use App\Books\Needs;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Tie;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\StepRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * Makes a firm order what it would be, were it made now: of the structure and the routing that are in force. What a
 * person added stays, and so does a quantity a person changed; what is kept for a part that goes is free again.
 */
final class FreshCopy
{
    /** What of a step is worth a line in the order's history. */
    private const SAID = [
        'name' => 'name',
        'work_centre_id' => 'work centre',
        'setup_minutes' => 'setup',
        'run_rate' => 'run',
        'price' => 'price',
    ];

    public function __construct(private readonly OrderCopy $copy)
    {
    }

    /** @param  list<int>  $orders */
    public static function needs(array $orders): Needs
    {
        $items = OrderComponent::query()->whereIn('order_id', $orders)->pluck('item_id');
        $parts = array_merge([], ...array_map(PartsDue::below(...), $orders));

        return Needs::orders([...$orders, ...$parts])->and(Needs::items($items));
    }

    /**
     * @return list<string> what was kept or made for parts that it does not take any more
     *
     * @throws Refused when it is released
     */
    public function take(Ledger $ledger, Order $order): array
    {
        $order->assertMay(OrderDeed::CopyAnew);
        self::assertSetUpAlone($order);
        $quantity = BigDecimal::of($order->quantity);
        $masters = Masters::today();
        $from = CopiedFrom::of($masters, $order->item, $masters->structure($order->item), $quantity);
        $this->steps($ledger, $order, $from);
        $freed = $this->components($ledger, $order, $from);
        $ledger->outputs->follow($order, $from->beside());
        $was = $order->structure?->revision;
        $is = $from->structure?->revision;
        $was === $is ?: $ledger->change($order, 'structure', (string) $was, (string) $is);
        $order->fill(['structure_id' => $from->structure?->id, 'routing_id' => $from->routing?->id]);
        $order->setRelation('structure', $from->structure)->setRelation('routing', $from->routing);
        $ledger->touch($order);

        return $freed;
    }

    /** @throws Refused where a step shares its set-up: what the others pay would not be true any more */
    private static function assertSetUpAlone(Order $order): void
    {
        $shared = $order->steps()->get()->first(fn (OrderStep $step): bool => $step->sharedSetup() !== null);
        if ($shared !== null) {
            throw StepRefused::setUpWithOthers($shared->label());
        }
    }

    private function steps(Ledger $ledger, Order $order, CopiedFrom $from): void
    {
        $old = $order->steps()->get()->keyBy('number');
        $rows = collect($from->steps->rows($from->quantity))->keyBy('number');
        foreach ($old->diffKeys($rows) as $step) {
            DB::table('plan_steps')->where('order_step_id', $step->id)->delete();
            $step->delete();
            $ledger->change($order, "step {$step->number}", $step->name, '');
        }
        foreach ($rows as $number => $row) {
            $step = $old->get($number) ?? new OrderStep(['order_id' => $order->id]);
            $before = $step->exists ? $step->replicate() : null;
            $this->copy->timed($step->fill($row), $from->quantity)->save();
            self::saySteps($ledger, $order, $before, $step);
        }
        DB::table('order_step_ways')->whereIn('order_step_id', $order->steps()->select('id'))->delete();
        OrderCopy::ways($order);
    }

    private static function saySteps(Ledger $ledger, Order $order, ?OrderStep $before, OrderStep $step): void
    {
        if ($before === null) {
            $ledger->change($order, "step {$step->number}", '', $step->name);

            return;
        }
        foreach (self::SAID as $field => $name) {
            [$was, $is] = [self::text($before, $field), self::text($step, $field)];
            $was === $is ?: $ledger->change($order, "step {$step->number}, {$name}", $was, $is);
        }
    }

    private static function text(OrderStep $step, string $field): string
    {
        $value = $step->getAttribute($field);

        return match ($field) {
            'name' => (string) $value,
            'work_centre_id' => (string) $step->workCentre()->value('code'),
            default => Amount::plain((string) ($value ?? '0')),
        };
    }

    /** @return list<string> what was kept or made for parts that go */
    private function components(Ledger $ledger, Order $order, CopiedFrom $from): array
    {
        $old = $order->components()->with('item.unit')->whereNotNull('source_line_id')->orderBy('position')->get();
        $last = 0;
        foreach ($from->components() as $row) {
            $same = self::sameIn($old, $row['item_id'], $row['step_number']);
            $same === null ? self::begin($ledger, $order, $row) : self::follow($ledger, $order, $same, $row);
            $old = $old->except($same === null ? [] : [$same->id]);
            $last = $row['position'];
        }
        // what a person added stands behind
        foreach ($order->components()->whereNull('source_line_id')->orderBy('position')->get() as $added) {
            $added->update(['position' => $last += 10]);
        }
        $freed = [];
        foreach ($old as $gone) {
            $freed = [...$freed, ...self::end($ledger, $order, $gone, $last += 10)];
        }

        return $freed;
    }

    /**
     * The line of an item at its step, or else at another.
     *
     * @param  Collection<int, OrderComponent>  $old
     */
    private static function sameIn(Collection $old, int $item, int $step): ?OrderComponent
    {
        $of = $old->where('item_id', $item);

        return $of->firstWhere('step_number', $step) ?? $of->first();
    }

    /** @param  array<string, mixed>  $row */
    private static function begin(Ledger $ledger, Order $order, array $row): void
    {
        $new = $order->components()->create($row);
        $ledger->change($order, "component {$new->item->number}", '', Amount::plain($new->planned_quantity));
    }

    /** @param  array<string, mixed>  $row */
    private static function follow(Ledger $ledger, Order $order, OrderComponent $one, array $row): void
    {
        $was = BigDecimal::of($one->planned_quantity);
        $one->fill($one->byHand() === null ? $row : [...$row, 'planned_quantity' => (string) $was])->save();
        if (! $was->isEqualTo($one->planned_quantity)) {
            $what = "component {$one->item->number}";
            $ledger->change($order, $what, Amount::plain((string) $was), Amount::plain($one->planned_quantity));
        }
    }

    /** @return list<string> */
    private static function end(Ledger $ledger, Order $order, OrderComponent $gone, int $position): array
    {
        $freed = [];
        foreach (Tie::query()->with('output.order', 'purchase')->where('component_id', $gone->id)->get() as $tie) {
            if (! $tie->left()->isPositive()) {
                continue;
            }
            $freed[] = ($tie->isFromStock() ? 'stock of ' : "{$tie->fromWhat()}, ")
                .Amount::plain((string) $tie->left())
                ." {$gone->item->unit->code} {$gone->item->label()}";
            $ledger->ties->change($tie, $tie->left()->negated());
        }
        $ledger->change($order, "component {$gone->item->number}", Amount::plain($gone->planned_quantity), '');
        // its ties and drafts name it: it stays, and takes nothing
        $gone->fill([
            'position' => $position,
            'source_line_id' => null,
            'ratio_p' => null,
            'ratio_q' => null,
            ...OrderComponent::planned(null),
            'baseline_quantity' => '0',
            'planned_quantity' => '0',
        ])->save();

        return $freed;
    }
}
