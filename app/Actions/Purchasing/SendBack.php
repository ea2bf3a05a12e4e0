<?php

namespace App\Actions\Purchasing;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\PurchaseLine;
use Brick\Math\BigDecimal;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;

/** Goods go back to the supplier they came from; to come again where others are sent. */
final class SendBack
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /** @throws Refused when less lies there or came, or it is promised */
    public function handle(TypedReturn $typed, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::SentBack, $signed, new Part(
            fn (): Needs => Needs::purchaseOrders([PurchaseLine::query()->findOrFail($typed->line)->purchase_order_id])
                ->and(Needs::items([Balance::query()->findOrFail($typed->balance)->item_id])),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $typed, $signed),
        ));
    }

    private function write(Ledger $ledger, Held $held, TypedReturn $typed, Signed $signed): void
    {
        $line = PurchaseLine::query()->findOrFail($typed->line);
        $found = Balance::query()->with('item.unit', 'item.units.unit', 'place')->findOrFail($typed->balance);
        $order = $held->purchaseOrder($line->purchase_order_id)->load('supplier');
        $ledger->stock->read([$found->key()]);
        $amount = $found->item->quantity($typed->quantity, field: 'quantity')->amount;
        if ($found->item_id !== $line->item_id) {
            throw PurchaseRefused::otherItem($line->number);
        }
        WayBack::move($ledger, $line, $found->item, $amount, $found->key(), $signed->reason);
        $ledger->covers->assertStillThere($found->item, $amount);
        $ledger->kept->assertThere($found->item);
        self::line($line, $amount, $typed->isReplaced);
        $ledger->concernsPurchase($order);
        $ledger->says(
            Amount::plain($amount)." {$found->item->unit->code} {$found->item->label()} sent back to "
                ."{$order->supplier->name} on {$line->number}: {$signed->reason}. "
                .($typed->isReplaced ? 'Others come.' : 'No others come.'),
        );
    }

    /** What is not sent again is no longer wanted. */
    private static function line(PurchaseLine $line, BigDecimal $amount, bool $isReplaced): void
    {
        $open = $line->wanted()->minus($line->received_quantity);
        if (! $isReplaced && $open->isPositive()) {
            $line->cancelled_quantity = (string) BigDecimal::of($line->cancelled_quantity)
                ->plus(BigDecimal::min($open, $amount));
        }
        $line->save();
    }
}
