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
use App\Models\Item;
use App\Models\PurchaseOrder;
use KeepPace\Core\Purchasing\PurchaseRefused;
use KeepPace\Core\Purchasing\PurchaseState;
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
            fn (): Needs => Needs::purchaseOrders($add ? self::newest($lines, $isDraft) : []),
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

    /**
     * The newest order that is still open, or the newest draft, of each supplier something is ordered from.
     *
     * @param  list<LineToBuy>  $lines
     * @return list<int>
     */
    private static function newest(array $lines, bool $isDraft): array
    {
        $usual = Item::query()
            ->whereKey(array_map(fn (LineToBuy $line): int => $line->item, $lines))
            ->pluck('supplier_id', 'id');
        $of = fn (LineToBuy $line): mixed => $line->supplier ?? $usual[$line->item] ?? null;
        $suppliers = array_map($of, $lines);

        return array_values(
            PurchaseOrder::query()
                ->whereIn('supplier_id', array_filter($suppliers))
                ->whereIn('state', $isDraft ? [PurchaseState::Draft] : PurchaseState::COMING)
                ->groupBy('supplier_id')
                ->selectRaw('MAX(id) AS newest')
                ->pluck('newest')
                ->map(fn ($id): int => (int) $id)
                ->all(),
        );
    }
}
