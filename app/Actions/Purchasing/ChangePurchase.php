<?php

namespace App\Actions\Purchasing;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
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
        return $this->change($id, $signed, function (PurchaseLine $purchase) use ($expectedOn, $askedFor): string {
            $before = $purchase->expected_on;
            if ($before === $expectedOn && $purchase->asked_for === $askedFor && $purchase->ask_again_on === null) {
                throw PurchaseRefused::sameDay();
            }
            $this->assertAhead($expectedOn);
            $purchase->fill(['expected_on' => $expectedOn, 'asked_for' => $askedFor, 'ask_again_on' => null]);
            if ($before !== $expectedOn) {
                $purchase->first_expected_on ??= $before;
                $purchase->days_passed += $before < $this->today() ? 1 : 0;
            }

            $asked = $askedFor === null ? 'no longer hurried' : 'asked for '.Said::day($askedFor);

            return "{$purchase->number}: "
                .($before === $expectedOn
                    ? "{$asked}, expected on ".Said::day($expectedOn)
                    : 'expected on '.Said::day($expectedOn).', before '.Said::day($before))
                .'.';
        });
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
        return $this->change($id, $signed, function (PurchaseLine $purchase) use ($on): string {
            if ($on <= $this->today()) {
                throw PurchaseRefused::askLater();
            }
            $purchase->ask_again_on = $on;

            return "{$purchase->number}: nobody knows when it comes; asked again on ".Said::day($on).'.';
        });
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

    /** @throws Refused for a day that has passed */
    private function assertAhead(string $day): void
    {
        if ($day < $this->today()) {
            throw PurchaseRefused::dayHasPassed();
        }
    }

    private function today(): string
    {
        return now(config()->string('pace.zone'))->toDateString();
    }

    /** @param  \Closure(PurchaseLine): string  $work */
    private function change(int $id, Signed $signed, \Closure $work): Booking
    {
        return $this->bookings->once(
            BookingKind::PurchaseChanged,
            $signed,
            new Part(
                fn (): Needs => Needs::purchaseOrders([PurchaseLine::query()->findOrFail($id)->purchase_order_id]),
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
