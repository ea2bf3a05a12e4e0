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
use App\Models\PurchaseOrder;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/**
 * A supplier is asked to bring part of a line sooner: it stands on a line of its own from then on, with its own day.
 * Whoever wants it first is given of that line.
 */
final class PartSooner
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $quantity  in stock units
     * @param  string  $on  "YYYY-MM-DD" it is asked for; expected it stays as it was, until the supplier says so
     *
     * @throws Refused when so much is not to come
     */
    public function handle(int $lineId, string $quantity, string $on, Signed $signed): Booking
    {
        $order = fn (): int => PurchaseLine::query()->findOrFail($lineId)->purchase_order_id;

        return $this->bookings->once(BookingKind::PurchaseChanged, $signed, new Part(
            fn (): Needs => Needs::purchaseOrders([$order()]),
            function (Ledger $ledger, Held $held) use ($lineId, $quantity, $on, $order): void {
                $purchase = $held->purchaseOrder($order());
                $ledger->concernsPurchase($purchase);
                $ledger->says(self::write($ledger, $purchase, $lineId, $quantity, $on));
            },
        ));
    }

    /** @throws Refused */
    private static function write(Ledger $ledger, PurchaseOrder $purchase, int $id, string $typed, string $on): string
    {
        $line = PurchaseLine::query()->with('item.unit', 'item.units.unit')->findOrFail($id);
        if (! $line->is_open) {
            throw PurchaseRefused::complete($line->number);
        }
        if ($line->isWork()) {
            throw PurchaseRefused::workStays($line->number);
        }
        if ($line->asked() !== null) {
            throw PurchaseRefused::settleFirst($line->number);
        }
        $part = $line->item->quantity($typed, field: 'quantity')->amount;
        $unit = $line->item->unit->code;
        if ($part->isGreaterThanOrEqualTo($line->openQuantity())) {
            throw PurchaseRefused::notAPart($line->number, Amount::plain($line->openQuantity())." {$unit}");
        }
        $new = self::own($line, $purchase, $part, $on);
        $ledger->bought->moveOver($line, $new);
        $left = $line->wanted()->minus($part)->plus($line->cancelled_quantity);
        $line->fill(['quantity' => (string) $left, 'typed_quantity' => (string) $line->asTyped($left)])->save();
        $purchase->changed_on = now(config()->string('pace.zone'))->toDateString();

        return Amount::plain($part)." {$unit} of {$line->number} stand on {$new->number} now and are asked for on "
            .Said::day($on).'; the rest stays as it was. The supplier is told so when it is sent again.';
    }

    private static function own(
        PurchaseLine $line,
        PurchaseOrder $purchase,
        BigDecimal $part,
        string $on,
    ): PurchaseLine {
        $position = 1 + (int) $purchase->lines()->max('position');

        return PurchaseLine::query()->create([
            'purchase_order_id' => $purchase->id,
            'position' => $position,
            'number' => "{$purchase->number}/{$position}",
            'item_id' => $line->item_id,
            'quantity' => (string) $part,
            'typed_quantity' => (string) $line->asTyped($part),
            'typed_unit_id' => $line->typed_unit_id,
            'ratio_p' => $line->ratio_p,
            'ratio_q' => $line->ratio_q,
            'price' => $line->price,
            'expected_on' => $line->expected_on,
            'ask_again_on' => $line->ask_again_on,
            'asked_for' => $on,
            'words' => $line->words,
            'cost_order_id' => $line->cost_order_id,
        ])->refresh();
    }
}
