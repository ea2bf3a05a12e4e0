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
use KeepPace\Core\Refused;

/** A firm order is made by the structure and routing in force now, instead of those it was copied from. */
final class CopyAnew
{
    public function __construct(private readonly Bookings $bookings, private readonly FreshCopy $copy)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     *
     * @throws ChangedMeanwhile
     * @throws Refused when it is released
     */
    public function handle(int $id, int $version, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::OrderChanged, $signed, new Part(
            fn (): Needs => FreshCopy::needs([$id]),
            function (Ledger $ledger, Held $held) use ($id, $version): void {
                $order = $held->order($id)->load('item.unit', 'structure');
                ChangedMeanwhile::check($order, $version);
                $ledger->concerns($order);
                $freed = $this->copy->take($ledger, $order);
                $ledger->says("Order {$order->number} copied anew".self::by($order).'.');
                $freed === [] ?: $ledger->says('No longer for it: '.implode(', ', $freed).'.');
            },
        ));
    }

    private static function by(Order $order): string
    {
        return ($order->structure === null ? '' : ", by structure revision {$order->structure->revision}")
            .($order->routing === null ? '' : ", routing revision {$order->routing->revision}");
    }
}
