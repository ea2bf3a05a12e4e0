<?php

namespace App\Actions\Stock;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Tie;
use App\Planner\AskEffect;
use App\Planner\Effect;
use App\Reading\Row;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\DemandKind;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\SupplyKind;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Keeps free stock, of one lot or of any, for one order, beside what the rank gives it; or gives it up again. */
final class ReserveStock
{
    public function __construct(private readonly Bookings $bookings, private readonly AskEffect $ask)
    {
    }

    /** What keeping it would do, without doing it. */
    public function effect(int $orderId, int $itemId, string $quantity): Effect
    {
        return $this->ask->of(function () use ($orderId, $itemId, $quantity): void {
            $component = OrderComponent::query()->where('order_id', $orderId)->where('item_id', $itemId)->min('id');
            $component === null ?: DB::table('ties')->upsert(
                [[
                    'item_id' => $itemId,
                    'demand_kind' => DemandKind::Component->value,
                    'demand_id' => $component,
                    'supply_kind' => SupplyKind::Stock->value,
                    'supply_id' => 0,
                    'is_hard' => true,
                    'quantity' => $quantity,
                ]],
                ['demand_kind', 'demand_id', 'supply_kind', 'supply_id', 'is_hard'],
                ['quantity' => DB::raw('quantity + VALUES(quantity)')],
            );
        });
    }

    /**
     * @param  string  $lot  code; empty = any lot
     *
     * @throws Refused when it is not there, promised, or kept for another
     */
    public function handle(int $orderId, int $itemId, string $lot, string $quantity, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Reserved,
            $signed,
            new Part(
                Needs::orders([$orderId])->and(Needs::items([$itemId])),
                fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $orderId, $itemId, $lot, $quantity),
            ),
        );
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, int $orderId, int $itemId, string $lot, string $quantity): void
    {
        $order = $held->order($orderId);
        $order->assertMay(OrderDeed::Reserve);
        $item = Item::query()->with('unit', 'units.unit')->findOrFail($itemId);
        $amount = $item->quantity($quantity, field: 'quantity')->amount;
        $component = $this->takes($order, $item, $amount);
        $lotId = $lot === ''
                ? 0
                : Lots::find($item->id, $lot)->id
                    ?? throw Refused::because("There is no lot {$lot} of {$item->label()}.", 'lot');
        $ledger->kept->keep($component, $lotId, $amount);
        $ledger->kept->assertThere($item);
        $ledger->concerns($order);
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()}"
                .($lot === '' ? '' : " of lot {$lot}")
                ." kept for order {$order->number}.",
        );
    }

    /**
     * The component it is kept for: of several of one item the first, for they stand for one another.
     *
     * @throws Refused when more would be kept than the order still takes
     */
    private function takes(Order $order, Item $item, BigDecimal $amount): OrderComponent
    {
        $components = $order->components()->where('item_id', $item->id)->get()->sortBy('id');
        $need = BigDecimal::sum(0, ...$components->map(fn (OrderComponent $one): BigDecimal => $one->openQuantity()));
        $kept = Row::sum(Ties::kept()->whereIn('t.component_id', $components->modelKeys()), 't.quantity');
        $first = $components->first();
        if ($first === null || $amount->plus($kept)->isGreaterThan($need)) {
            throw Refused::because(
                sprintf(
                    'Order %s still takes %s of it, and %s are kept for it. Keep no more than it takes.',
                    $order->number,
                    Amount::plain($need),
                    Amount::plain($kept),
                ),
                'quantity',
            );
        }

        return $first;
    }

    /** @throws Refused when there is no such tie */
    private static function kept(int $id): Tie
    {
        return Tie::query()
            ->with('component', 'purchase')
            ->whereNotNull('component_id')
            ->where('is_hard', true)
            ->find($id)
            ?? throw Refused::because('This is not kept any more.');
    }

    public function giveUp(int $id, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Reserved, $signed, new Part(
            function () use ($id): Needs {
                $kept = self::kept($id);

                return Needs::orders([$kept->component?->order_id])
                    ->and(Needs::purchaseOrders([$kept->purchase?->purchase_order_id]))
                    ->and(Needs::items([$kept->item_id]));
            },
            function (Ledger $ledger, Held $held) use ($id): void {
                $kept = self::kept($id);
                $order = $held->order($kept->component->order_id ?? 0);
                $item = Item::query()->with('unit')->findOrFail($kept->item_id);
                $quantity = $kept->left();
                if ($quantity->isZero()) {
                    throw Refused::because('This is not kept any more.');
                }
                $ledger->kept->less($kept, $quantity);
                $ledger->concerns($order);
                $ledger->says(
                    Amount::plain($quantity)
                        ." {$item->unit->code} {$item->label()} no longer kept for order {$order->number}.",
                );
            },
        ));
    }
}
