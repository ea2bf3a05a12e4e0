<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Numbers;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderOutput;
use App\Models\OrderStep;
use App\Models\Place;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/**
 * Takes good pieces from the last step into stock, at the planned unit cost until the order is closed, and what comes
 * back of the order beside them.
 */
final class ReceiveOrder
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused */
    public function handle(int $orderId, TypedReceipt $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Receive, $signed, $this->part($orderId, $typed));
    }

    public function part(int $orderId, TypedReceipt $typed): Part
    {
        return new Part(
            fn (): Needs => self::needs($orderId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held->order($orderId), $typed),
        );
    }

    public static function needs(int $orderId): Needs
    {
        $outputs = OrderOutput::query()->where('order_id', $orderId);

        return Needs::orders([$orderId])->and(Needs::items($outputs->pluck('item_id')));
    }

    /** @throws Refused */
    public function write(Ledger $ledger, Order $order, TypedReceipt $typed): void
    {
        $order->load('item.unit', 'item.units.unit');
        $place = Place::thatHolds($typed->placeId);
        $amount = $order->item->quantity($typed->quantity, field: 'quantity')->amount;
        $beside = BesideReceipts::of($ledger, $order, $amount, $typed);
        if ($amount->isZero() && ! $beside->isSome()) {
            throw OrderRefused::nothingToReceive($order->number);
        }
        $product = $amount->isZero() ? null : $this->product($ledger, $order, $amount, $typed);
        // what comes back is credited before the product takes its own out of the order
        $beside->book();
        $product?->book();
        $ledger->concerns($order);
        $ledger->says(
            ($product === null ? '' : "{$product->says()} received from order {$order->number}, to {$place->name}.")
                .$beside->says($place->name),
        );
    }

    /** @throws Refused */
    private function product(
        Ledger $ledger,
        Order $order,
        BigDecimal $amount,
        TypedReceipt $typed,
    ): OutputReceipt {
        $order->assertMay(OrderDeed::Receive);
        $last = OrderStep::query()->where('order_id', $order->id)->orderByDesc('number')->first();
        $ready = $last?->pieces()->inHand() ?? $order->openQuantity(); // without steps nobody counts before
        if ($amount->isGreaterThan($ready)) {
            throw OrderRefused::notGood($amount, $ready);
        }
        $output = $order->output()->setRelation('item', $order->item);
        $codes = $this->codes($order, $amount, $typed->codes);
        $receipt = OutputReceipt::read($ledger, $order, $output, $amount, $codes, $typed->placeId);
        $last === null ?: $ledger->counts->set($last, $last->pieces()->passOn($amount, $last->label()));

        return $receipt;
    }

    /** Codes typed, or else the order's number as its lot, or new serials. */
    private function codes(Order $order, BigDecimal $amount, string $typed): string
    {
        return match (true) {
            trim($typed) !== '' || ! $order->item->isTracked() => $typed,
            $order->item->tracking === Tracking::Lot => $order->number,
            default => implode("\n", Numbers::block('serial', $amount->toInt())),
        };
    }
}
