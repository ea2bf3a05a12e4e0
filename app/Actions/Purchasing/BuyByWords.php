<?php

namespace App\Actions\Purchasing;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Refused;

/**
 * What no item stands for is bought by words for one order: it is put on a draft, comes like anything else, and goes
 * into the cost of that order, never into stock.
 */
final class BuyByWords
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when the order takes no cost */
    public function handle(int $order, WordsToBuy $typed, Signed $signed): Booking
    {
        $line = fn (int $item): LineToBuy => new LineToBuy(
            $item,
            $typed->quantity,
            price: $typed->price,
            expectedOn: $typed->expectedOn,
            supplier: $typed->supplier,
            words: $typed->words,
            costOrder: $order,
        );

        return $this->bookings->once(BookingKind::Purchased, $signed, new Part(
            fn (): Needs => Needs::orders([$order])->and(Needs::purchaseOrders(
                NewPurchases::newest([$line(0)], true),
            )),
            function (Ledger $ledger, Held $held) use ($order, $typed, $line): void {
                $for = $held->order($order);
                if (! $for->state->takesCost()) {
                    throw OrderRefused::takesNoCost($for->number, $for->state);
                }
                $new = new NewPurchases($ledger, true);
                $open = $held->purchaseOrders->keyBy('supplier_id')->all();
                try {
                    $said = $new->write([$line(WordsItem::of($typed->unit)->id)], $open);
                } catch (Refused $refused) {
                    throw Refused::because($refused->getMessage(), 'quantity');
                }
                $ledger->concerns($for);
                $ledger->says("{$typed->words} for order {$for->number}: ".implode('; ', $said).'.');
                $new->hint() === '' ?: $ledger->says($new->hint());
            },
        ));
    }
}
