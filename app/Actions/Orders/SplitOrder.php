<?php

namespace App\Actions\Orders;

use App\Actions\Usage\ReturnComponents;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Books\Outputs;
use App\Books\Part;
use App\Books\Signed;
use App\Books\SplitTies;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Person;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Structure\ByHand;

/**
 * Takes pieces that have not begun off an order and makes an order of their own of them: its components, what of them
 * is issued beyond what the rest takes, their cost, and the cover the rest cannot give follow the pieces.
 */
final class SplitOrder
{
    /** What the master does not tell of a step goes to the new order too. */
    private const STEP = [
        ...OrderCopy::STEP,
        'number',
        'source_step_id',
        ...OrderStep::RATES,
    ];

    /** Of a component all but its quantities. */
    private const COMPONENT = [
        'position',
        'item_id',
        'step_number',
        'source_line_id',
        'issue_by',
        'supplied_by',
        'planned_value',
        'basis',
        'ratio_p',
        'ratio_q',
        'line_quantity',
        'unit_id',
        'scrap_percent',
        'designators',
        'phantom_item_id',
    ];

    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderCopy $copy,
        private readonly PlannedCost $cost,
    ) {
    }

    /** @throws Refused when so many pieces have begun already */
    public function handle(int $id, int $version, string $pieces, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Split,
            $signed,
            new Part(
                fn (): Needs => Needs::orders([$id, ...self::parts($id)]),
                fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $id, $version, $pieces, $signed),
            ),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $id, int $version, string $pieces, Signed $signed): void
    {
        $order = $held->order($id)->load('item.unit', 'item.units.unit');
        ChangedMeanwhile::check($order, $version);
        $order->assertMay(OrderDeed::Split);
        $part = $order->item->quantity($pieces, field: 'quantity')->amount;
        $all = BigDecimal::of($order->quantity);
        self::assertFree($order, $part, $all);
        $new = $this->head($ledger, $order, $part, $signed->person);
        $this->steps($ledger, $order, $new, $part, $all);
        $this->components($ledger, $order, $new, $part, $all);
        $order->quantity = (string) $all->minus($part);
        if ($order->released_at !== null) {
            $this->cost->rescale($order, $all, $all->minus($part));
            $this->cost->rescale($new, $all, $part);
            $new->save();
        }
        $ledger->touch($order);
        (new SplitTies($ledger))->moveOver($order, $new);
        // parts made for the whole are for whoever ranks first of the two
        $ledger->madeFor->release($order);
        foreach ($held->orders->except([$order->id]) as $made) {
            $ledger->touch($made);
        }
        $ledger->concerns($order);
        $ledger->change($order, 'quantity', Amount::plain($all), Amount::plain($order->quantity));
        $ledger->says(Amount::plain($part)." of order {$order->number} split off as order {$new->number}.");
    }

    /** @throws OrderRefused when so many pieces have begun already */
    private static function assertFree(Order $order, BigDecimal $part, BigDecimal $all): void
    {
        $free = $order->released_at === null
            ? $all
            : BigDecimal::min($all, $order->steps()->first()?->pieces()->toDo() ?? $order->openQuantity());
        if (! $part->isPositive() || $part->isGreaterThanOrEqualTo($all) || $part->isGreaterThan($free)) {
            throw OrderRefused::notSplitSo($free, $all);
        }
    }

    /** @return list<int> orders made for its parts */
    private static function parts(int $id): array
    {
        return Ties::partsOf([$id]);
    }

    private function head(Ledger $ledger, Order $order, BigDecimal $part, Person $by): Order
    {
        $new = new Order(
            $order->only([
                'item_id',
                'structure_id',
                'routing_id',
                'due_on',
                'rank',
                'owner_id',
                'follows_line_id',
                'remake_of_id',
                'short_reason',
                'is_held',
                'is_loaded_late',
            ]),
        );
        $new->fill([
            'number' => Numbers::next('order'),
            'quantity' => (string) $part,
            'state' => $order->released_at === null ? 'firm' : 'released',
            'split_from_id' => $order->id,
            'released_at' => $order->released_at,
            'released_by' => $order->released_at === null ? null : $by->id,
        ])->save();

        $ledger->outputs->begin($new->refresh(), Outputs::like($order));

        return $new->load('item.unit');
    }

    private function steps(Ledger $ledger, Order $order, Order $new, BigDecimal $part, BigDecimal $all): void
    {
        foreach ($order->steps()->get() as $i => $step) {
            $copy = new OrderStep(['order_id' => $new->id, ...$step->only(self::STEP)]);
            $copy->baseline_minutes = $copy->planned_minutes = $this->copy->minutes($copy, $part);
            $copy->save();
            OrderCopy::waysOf($step, $copy);
            $step->baseline_minutes = $step->planned_minutes = $this->copy->minutes($step, $all->minus($part));
            $step->save();
            if ($i === 0 && $order->released_at !== null) {
                $ledger->counts->set($step, $step->pieces()->takeIn($part->negated()));
                $copy->refresh();
                $ledger->counts->set($copy, $copy->pieces()->takeIn($part));
            }
        }
    }

    private function components(Ledger $ledger, Order $order, Order $new, BigDecimal $part, BigDecimal $all): void
    {
        $used = ReturnComponents::used($order->id);
        foreach ($order->components()->with('item.unit')->get() as $component) {
            $copy = self::parted($component, $new, $part, $all);
            $each = $component->byHand()?->each;
            if ($each !== null) {
                self::byHand($copy, $each, $part);
                self::byHand($component, $each, $all->minus($part));
            }
            $copy->save();
            $this->follow($ledger, $order, $new, $component, $copy->refresh(), $used);
            $component->save();
        }
    }

    /** What a person planned of it stands as it is for these pieces, and goes along with more. */
    private static function byHand(OrderComponent $of, BigRational $each, BigDecimal $pieces): void
    {
        $planned = BigDecimal::of($of->planned_quantity);
        $of->plan($planned, ByHand::at($planned, $each, $pieces));
    }

    /** What the new order takes of a component; the other takes as much less, but where it is for the order. */
    private static function parted(
        OrderComponent $component,
        Order $new,
        BigDecimal $part,
        BigDecimal $all,
    ): OrderComponent {
        $copy = new OrderComponent(['order_id' => $new->id, ...$component->only(self::COMPONENT)]);
        foreach (['planned_quantity', 'baseline_quantity'] as $column) {
            $was = BigDecimal::of((string) $component->getAttribute($column));
            $share = $component->isPerOrder()
                ? $was
                : $was->multipliedBy($part)
                    ->dividedBy($all, $component->item->unit->decimals, RoundingMode::CEILING);
            $copy->setAttribute($column, (string) $share);
            $component->isPerOrder()
                ?: $component->setAttribute($column, (string) BigDecimal::max(0, $was->minus($share)));
        }

        return $copy;
    }

    /**
     * What is issued beyond what the rest takes goes with the pieces, lot by lot at the value it carries.
     *
     * @param  array<string, array{quantity: BigDecimal, value: int}>  $used
     */
    private function follow(
        Ledger $ledger,
        Order $order,
        Order $new,
        OrderComponent $from,
        OrderComponent $to,
        array $used,
    ): void {
        $from->setRelation('order', $order);
        $to->setRelation('order', $new);
        $over = BigDecimal::min(
            BigDecimal::of($from->used_quantity)->minus($from->planned_quantity),
            $to->planned_quantity,
        );
        foreach ($used as $key => $lot) {
            [$component, $lotId] = array_map(intval(...), explode('-', $key));
            $take = $component === $from->id ? BigDecimal::min($over, $lot['quantity']) : BigDecimal::zero();
            if (! $take->isPositive()) {
                continue;
            }
            $over = $over->minus($take);
            $value = Cents::part($lot['value'], $take, $lot['quantity']);
            self::goAlong($ledger, $from, $to, $take, $value, $lotId);
        }
    }

    /** So much of a component, of one lot, from one order to the other. */
    private static function goAlong(
        Ledger $ledger,
        OrderComponent $from,
        OrderComponent $to,
        BigDecimal $take,
        int $value,
        int $lot,
    ): void {
        $item = Item::query()->with('unit')->findOrFail($from->item_id);
        $out = End::component($from->order_id, $from->id);
        $ledger->moves->move($item, $take, $value, $out, End::between(), lot: $lot);
        $ledger->moves->move($item, $take, $value, End::between(), End::component($to->order_id, $to->id), lot: $lot);
        foreach ([[$from, -1], [$to, 1]] as [$row, $sign]) {
            $ledger->costs->add($row->order, CostKind::Material, $sign * $value);
            $row->used_quantity = (string) BigDecimal::of($row->used_quantity)->plus($take->multipliedBy($sign));
            $row->used_value += $sign * $value;
            $row->save();
        }
    }
}
