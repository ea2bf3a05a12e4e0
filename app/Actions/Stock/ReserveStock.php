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
use App\Planner\AskEffect;
use App\Planner\Effect;
use Brick\Math\BigDecimal;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderDeed;
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
            DB::table('reservations')->upsert(
                [['order_id' => $orderId, 'item_id' => $itemId, 'lot_id' => 0, 'quantity' => $quantity]],
                ['order_id', 'item_id', 'lot_id'],
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
        $amount = $item->quantity($quantity)->amount;
        $this->assertTakes($order, $item, $amount);
        $lotId = $lot === ''
                ? 0
                : Lots::find($item->id, $lot)->id
                    ?? throw Refused::because("There is no lot {$lot} of {$item->label()}.", 'lot');
        $ledger->kept->change($order->id, $item->id, $lotId, $amount);
        $ledger->kept->assertThere($item);
        $ledger->concerns($order);
        $ledger->says(
            Amount::plain($amount)
                ." {$item->unit->code} {$item->label()}"
                .($lot === '' ? '' : " of lot {$lot}")
                ." kept for order {$order->number}.",
        );
    }

    /** @throws Refused when more would be kept than the order still takes */
    private function assertTakes(Order $order, Item $item, BigDecimal $amount): void
    {
        $need = $order
            ->components()
            ->where('item_id', $item->id)
            ->get()
            ->reduce(
                fn (BigDecimal $sum, $component): BigDecimal => $sum->plus($component->openQuantity()),
                BigDecimal::zero(),
            );
        $reservations = DB::table('reservations')->where('order_id', $order->id)->where('item_id', $item->id);
        $kept = BigDecimal::of((string) $reservations->sum('quantity'));
        if ($amount->plus($kept)->isGreaterThan($need)) {
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
    }

    private function needs(int $reservationId): Needs
    {
        $kept = DB::table('reservations')->where('id', $reservationId);

        return Needs::orders($kept->pluck('order_id'))->and(Needs::items($kept->pluck('item_id')));
    }

    public function giveUp(int $reservationId, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::Reserved,
            $signed,
            new Part($this->needs($reservationId), function (Ledger $ledger, Held $held) use ($reservationId): void {
                $row = DB::table('reservations')->where('id', $reservationId)->first()
                    ?? throw Refused::because('This is not kept any more.');
                $order = $held->order((int) $row->order_id);
                $item = Item::query()->with('unit')->findOrFail((int) $row->item_id);
                $kept = BigDecimal::of(
                    (string) DB::table('reservations')->where('id', $reservationId)->value('quantity'),
                );
                if ($kept->isZero()) {
                    throw Refused::because('This is not kept any more.');
                }
                $ledger->kept->change($order->id, $item->id, $row->lot_id, $kept->negated());
                $ledger->concerns($order);
                $ledger->says(
                    Amount::plain($kept)
                        ." {$item->unit->code} {$item->label()} no longer kept for order {$order->number}.",
                );
            }),
        );
    }
}
