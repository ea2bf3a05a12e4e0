<?php

namespace App\Actions\Usage;

use App\Books\AsTyped;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Place;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Costing\CostKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\Cents;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\End;
use KeepPace\Core\Stock\StockKey;

/** Brings components an order did not use back to stores, lot by lot, at the value they left with. */
final class ReturnComponents
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  array<string, string>  $lines  quantity by "component-lot"; lot 0 = not tracked
     * @param  Condition  $as  free, or blocked when it is to be looked at
     *
     * @throws Refused with a sentence beside each line that is wrong
     */
    public function handle(int $orderId, array $lines, int $placeId, Condition $as, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Return,
            $signed,
            new Part(
                self::needs($orderId, $lines),
                function (Ledger $ledger, Held $held) use ($orderId, $lines, $placeId, $as): void {
                    $order = $held->order($orderId);
                    $order->assertMay(OrderDeed::BookAgain);
                    $place = Place::thatHolds($placeId);
                    $wanted = $this->wanted($order, $lines, $place, $as);
                    $keys = array_values(array_map(fn (ReturnLine $line): StockKey => $line->to, $wanted));
                    $ledger->stock->read($keys);
                    $this->all($ledger, $order, $wanted);
                    $ledger->concerns($order);
                    $ledger->says(
                        count($wanted)
                            .(count($wanted) === 1 ? ' component' : ' components')
                            ." of order {$order->number} back to {$place->name}"
                            .($as === Condition::Free ? '.' : ', '.$as->label().'.'),
                    );
                },
            ),
        );
    }

    /** @param  array<string, string>  $lines  quantity by "component-lot" */
    private static function needs(int $orderId, array $lines): Needs
    {
        $components = OrderComponent::query()->whereKey(array_map(intval(...), array_keys($lines)));

        return Needs::orders([$orderId])->and(Needs::items($components->pluck('item_id')));
    }

    /**
     * @param  array<string, string>  $lines  quantity by "component-lot"
     * @return non-empty-array<string, ReturnLine>
     *
     * @throws Refused
     */
    private function wanted(Order $order, array $lines, Place $place, Condition $as): array
    {
        $components = OrderComponent::query()
            ->with('item.unit', 'item.units.unit')
            ->where('order_id', $order->id)
            ->orderBy('id')
            ->get()
            ->keyBy('id');
        $wanted = [];
        foreach ($lines as $key => $quantity) {
            [$id, $lot] = array_map(intval(...), explode('-', "{$key}-0"));
            $component = $components[$id]
                ?? throw Refused::because('This component is not of this order.', "lines.{$key}");
            $owner = $component->supplied_by === 'customer' ? (int) $order->owner_id : 0;
            $to = new StockKey($component->item_id, $place->id, $lot, $as, $owner);
            $wanted[$key] = new ReturnLine($component, $to, $quantity);
        }

        return $wanted === []
            ? throw Refused::because('Nothing to return: every quantity is empty or zero.')
            : $wanted;
    }

    /**
     * @param  non-empty-array<string, ReturnLine>  $wanted
     *
     * @throws Refused with a sentence beside each line that is wrong
     */
    private function all(Ledger $ledger, Order $order, array $wanted): void
    {
        $used = self::used($order->id);
        $wrong = [];
        foreach ($wanted as $key => $line) {
            try {
                $this->back($ledger, $order, $line, $used["{$line->component->id}-{$line->to->lot}"] ?? null);
            } catch (Refused $refused) {
                $wrong["lines.{$key}"] = $refused->getMessage();
            }
        }
        if ($wrong !== []) {
            throw new Refused($wrong);
        }
    }

    /**
     * What of each lot lies in the order, with its value.
     *
     * @return array<string, array{quantity: BigDecimal, value: int}> by "component-lot"
     */
    public static function used(int $order): array
    {
        $used = [];
        foreach (
            DB::table('moves AS m')
                ->join('places AS t', 't.id', 'm.to_place_id')
                ->where('m.order_id', $order)
                ->whereNotNull('m.component_id')
                ->groupBy('m.component_id', 'm.lot_id')
                ->selectRaw(
                    "m.component_id, m.lot_id, SUM(IF(t.kind = 'order', m.quantity, -m.quantity)) AS quantity, "
                        ."SUM(IF(t.kind = 'order', m.value, -m.value)) AS value",
                )
                ->get() as $row
        ) {
            $used["{$row->component_id}-{$row->lot_id}"] = [
                'quantity' => BigDecimal::of($row->quantity),
                'value' => (int) $row->value,
            ];
        }

        return array_filter($used, fn (array $row): bool => $row['quantity']->isPositive());
    }

    /** @param  array{quantity: BigDecimal, value: int}|null  $used */
    private function back(Ledger $ledger, Order $order, ReturnLine $line, ?array $used): void
    {
        $component = $line->component;
        $quantity = $component->item->quantity($line->typed)->amount;
        if ($used === null || $quantity->isGreaterThan($used['quantity'])) {
            throw Refused::because(
                sprintf(
                    '%s to return, %s of it lie in order %s. Return no more than that.',
                    Amount::plain($quantity),
                    Amount::plain($used['quantity'] ?? BigDecimal::zero()),
                    $order->number,
                ),
            );
        }
        $share = Cents::part($used['value'], $quantity, $used['quantity']);
        $value = $ledger->moves->move(
            $component->item,
            $quantity,
            $share,
            End::component($order->id, $component->id),
            End::stock($line->to),
            new AsTyped($line->typed, $component->item->unit_id),
        );
        $ledger->costs->add($order, CostKind::Material, -$value);
        $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->minus($quantity);
        $component->used_value -= $value;
        $component->save();
        if ($component->stands_for_id !== null) {
            $planned = OrderComponent::query()->findOrFail($component->stands_for_id);
            $planned->replaced_quantity = (string) BigDecimal::of($planned->replaced_quantity)->minus($quantity);
            $planned->save();
        }
    }
}
