<?php

namespace App\Actions\Demand;

use App\Actions\Orders\ChangedMeanwhile;
use App\Actions\Orders\LineBuilds;
use App\Actions\Orders\PartsDue;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Said;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Changes quantity and promise date of a customer line, or cancels what is still open of it. */
final class ChangeCustomerLine
{
    public function __construct(private readonly Bookings $bookings, private readonly LineBuilds $builds)
    {
    }

    /** @throws Refused */
    public function handle(
        int $lineId,
        int $version,
        string $quantity,
        string $promisedOn,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(BookingKind::CustomerLineChanged, $signed, new Part(
            fn (): Needs => self::needs($lineId),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $lineId, $version, $quantity, $promisedOn),
        ));
    }

    /** @throws Refused */
    private function write(
        Ledger $ledger,
        Held $held,
        int $lineId,
        int $version,
        string $quantity,
        string $promisedOn,
    ): void {
        $orderId = CustomerOrderLine::query()->findOrFail($lineId)->customer_order_id;
        $order = $held->customerOrder($orderId);
        ChangedMeanwhile::check($order, $version);
        $line = CustomerOrderLine::query()
            ->with('item.unit', 'item.units.unit', 'customerOrder.customer')
            ->findOrFail($lineId);
        $amount = $line->item->quantity($quantity)->amount;
        $before = Amount::plain($line->quantity).' by '.Said::day($line->promised_on);
        $line->promised_on = $promisedOn;
        $builds = $this->builds->follow($ledger, $held, $line, $amount->minus($line->quantity));
        $bound = $line->covered()
            ->plus($line->shipped_quantity)
            ->plus($line->cancelled_quantity);
        if ($amount->isLessThan($bound)) {
            throw CoverRefused::lineBound($bound);
        }
        $line->quantity = $line->typed_quantity = (string) $amount;
        $line->typed_unit_id = $line->item->unit_id;
        $line->is_open = $line->openQuantity()->isPositive();
        $line->save();
        $ledger->concerns(customerOrder: $order);
        $ledger->says(
            "{$order->number} line {$line->position}: from {$before} to "
                .Amount::plain($amount)
                .' by '
                .Said::day($promisedOn)
                .'.',
        );
        $builds === '' ?: $ledger->says($builds);
    }

    private static function needs(int $lineId): Needs
    {
        $line = CustomerOrderLine::query()->findOrFail($lineId);
        $builds = LineBuilds::open($lineId)->pluck('id');
        $parts = $builds->flatMap(fn (int $build): array => PartsDue::below($build));

        return Needs::customerOrders([$line->customer_order_id])
            ->and(Needs::orders($builds->merge($parts)))
            ->and($builds->isEmpty() ? Needs::nothing() : Needs::items([$line->item_id]));
    }
}
