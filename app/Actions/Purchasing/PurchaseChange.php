<?php

namespace App\Actions\Purchasing;

use App\Actions\Orders\ChangedMeanwhile;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use Closure;
use KeepPace\Core\Purchasing\PurchaseDeed;
use KeepPace\Core\Refused;

/** The frame of every deed on one purchase order: lock, compare the version, ask whether it may be, write, say. */
final class PurchaseChange
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  int  $version  of the order as the person saw it
     * @param  Closure(Ledger, PurchaseOrder): string  $work  gives the sentence of the booking
     *
     * @throws ChangedMeanwhile
     * @throws Refused when it does not allow the deed as it stands
     */
    public function handle(int $id, int $version, PurchaseDeed $deed, Signed $signed, Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::PurchaseChanged,
            $signed,
            new Part(
                fn (): Needs => Needs::purchaseOrders([$id])->and(Needs::orders(
                    // of work: its pieces go by what is said of it
                    PurchaseLine::query()->where('purchase_order_id', $id)->whereNotNull('order_step_id')
                        ->pluck('cost_order_id'),
                )),
                function (Ledger $ledger, Held $held) use ($id, $version, $deed, $work): void {
                    $order = $held->purchaseOrder($id)->load('supplier');
                    ChangedMeanwhile::check($order, $version);
                    $order->assertMay($deed);
                    $ledger->concernsPurchase($order);
                    $ledger->says($work($ledger, $order));
                },
            ),
        );
    }
}
