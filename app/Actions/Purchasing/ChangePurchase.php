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
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** What is to come is hurried, comes later, or is no longer wanted. */
final class ChangePurchase
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * What we have asked for stays as it is.
     *
     * @param  string  $expectedOn  as the supplier says now
     *
     * @throws Refused
     */
    public function expected(int $id, string $expectedOn, Signed $signed): Booking
    {
        return $this->change(
            $id,
            $signed,
            fn (PurchaseLine $purchase): string => ExpectedDay::said($purchase, $expectedOn, $purchase->asked_for),
        );
    }

    /**
     * @param  string  $expectedOn  as the supplier says now
     * @param  string|null  $askedFor  the date we have asked for, where it is hurried
     *
     * @throws Refused
     */
    public function date(
        int $id,
        string $expectedOn,
        ?string $askedFor,
        Signed $signed,
    ): Booking {
        return $this->change(
            $id,
            $signed,
            fn (PurchaseLine $purchase): string => ExpectedDay::said($purchase, $expectedOn, $askedFor),
        );
    }

    /**
     * Nobody knows when it comes.
     *
     * @param  string  $on  the day on which the supplier is asked again.
     *
     * @throws Refused
     */
    public function askAgain(int $id, string $on, Signed $signed): Booking
    {
        return $this->change(
            $id,
            $signed,
            fn (PurchaseLine $purchase): string => ExpectedDay::unknown($purchase, $on),
        );
    }

    /** Gives up what has not come yet. */
    public function giveUp(int $id, Signed $signed): Booking
    {
        return $this->change($id, $signed, function (PurchaseLine $purchase): string {
            $open = $purchase->openQuantity();
            $purchase->cancelled_quantity = (string) BigDecimal::of($purchase->cancelled_quantity)->plus($open);

            return Amount::plain($open)
                ." {$purchase->item->unit->code} {$purchase->item->label()} of {$purchase->number} are no longer "
                .'wanted.';
        });
    }

    /** @param  \Closure(PurchaseLine): string  $work */
    private function change(int $id, Signed $signed, \Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::PurchaseChanged,
            $signed,
            new Part(
                function () use ($id): Needs {
                    $line = PurchaseLine::query()->findOrFail($id);

                    return Needs::purchaseOrders([$line->purchase_order_id])
                        ->and(Needs::orders($line->isWork() ? [$line->cost_order_id] : []));
                },
                function (Ledger $ledger, Held $held) use ($id, $work): void {
                    $purchase = PurchaseLine::query()->with('item.unit')->findOrFail($id);
                    $ledger->concernsPurchase($held->purchaseOrder($purchase->purchase_order_id));
                    if (! $purchase->is_open) {
                        throw PurchaseRefused::complete($purchase->number);
                    }
                    $said = $work($purchase);
                    $purchase->save();
                    $ledger->says($said);
                },
            ),
        );
    }
}
