<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
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
     * @param  (Closure(int): Needs)|null  $more  what else it needs, by the order's id
     *
     * @throws ChangedMeanwhile
     * @throws Refused when the order is no longer open
     */
    public function handle(
        int|Closure $id,
        int $version,
        Signed $signed,
        Closure $work,
        ?Closure $more = null,
    ): Booking {
        return $this->bookings->once(
            BookingKind::OrderChanged,
            $signed,
            new Part(
                fn (): Needs => $this->needs($id, $more),
                function (Ledger $ledger, Held $held) use ($id, $version, $work): void {
                    $id = $id instanceof Closure ? $id() : $id;
                    $order = $held->order($id)->load('item.unit', 'item.units.unit');
                    ChangedMeanwhile::check($order, $version);
                    $order->assertMay(OrderDeed::Change);
                    $ledger->concerns($order);
                    $ledger->says($work($ledger, $order));
                },
            ),
        );
    }

    /**
     * What is made for it may follow it, and so may what is asked of the order whose pieces it makes again.
     *
     * @param  int|Closure(): int  $id
     * @param  (Closure(int): Needs)|null  $more
     */
    private function needs(int|Closure $id, ?Closure $more): Needs
    {
        $id = $id instanceof Closure ? $id() : $id;
        $needs = Needs::orders([$id, ...PartsDue::below($id)])->and(MadeAgain::needs($id));

        return $more === null ? $needs : $needs->and($more($id));
    }
}
