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
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Refused;

/** Orders items of their suppliers, many at once: one purchase order a supplier, or new lines on one that is open. */
final class RaisePurchases
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<LineToBuy>  $lines
     * @param  bool  $add  to the supplier's newest order that is still open, or the newest draft, where there is one
     * @param  bool  $isDraft  they are put on a draft, and sent later
     *
     * @throws Refused with a sentence for each line that is wrong
     */
    public function handle(array $lines, bool $add, Signed $signed, bool $isDraft = false): Booking
    {
        return $this->bookings->once(BookingKind::Purchased, $signed, new Part(
            fn (): Needs => NewPurchases::needs($lines, $add, $isDraft),
            function (Ledger $ledger, Held $held) use ($lines, $isDraft): void {
                if ($lines === []) {
                    throw PurchaseRefused::nothingToOrder();
                }
                $new = new NewPurchases($ledger, $isDraft);
                $open = $held->purchaseOrders->keyBy('supplier_id')->all();
                $said = $new->write($lines, $open);
                $ledger->says(($isDraft ? 'Put down: ' : 'Ordered: ').implode('; ', $said).'.');
                $new->hint() === '' ?: $ledger->says($new->hint());
            },
        ));
    }
}
