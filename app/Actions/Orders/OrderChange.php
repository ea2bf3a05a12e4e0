<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Heads;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use Closure;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Refused;

/** The frame of every change a person makes on an open order: lock, compare the version, write, say. */
final class OrderChange
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int|Closure(): int  $id  asked for after the token: a step taken out is no longer there to name its order
     * @param  int  $version  of the order as the person saw it
     * @param  Closure(Ledger, Order): string  $work  gives the sentence of the booking
     *
     * @throws ChangedMeanwhile
     * @throws Refused when the order is no longer open
     */
    public function handle(
        int|Closure $id,
        int $version,
        Signed $signed,
        Closure $work,
    ): Booking {
        return $this->bookings->once(
            BookingKind::OrderChanged,
            $signed,
            function (Ledger $ledger) use ($id, $version, $work): void {
                $id = $id instanceof Closure ? $id() : $id;
                // what is made for it may follow it: all heads are locked at once, by id
                $orders = Heads::orders([$id, ...PartsDue::below($id)]);
                $order = ($orders[$id] ?? throw Heads::gone(Order::class, $id))->load('item.unit', 'item.units.unit');
                ChangedMeanwhile::check($order, $version);
                $order->assertMay(OrderDeed::Change);
                $ledger->concerns($order);
                $ledger->says($work($ledger, $order));
            },
        );
    }
}
