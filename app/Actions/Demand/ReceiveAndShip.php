<?php

namespace App\Actions\Demand;

use App\Actions\Orders\ReceiveOrder;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Stock\Lots;
use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Order;
use App\Models\Tie;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\CoverRefused;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Tracking;

/**
 * Takes good pieces in and sends them straight on to the customer lines they are made for: one deed of two parts.
 * Where the second is refused nothing of the first stands.
 */
final class ReceiveAndShip
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly ReceiveOrder $receive,
        private readonly ShipLines $ship,
    ) {
    }

    /**
     * @param  TypedReceipt  $typed  of an item with serials they are chosen when it ships, not here
     *
     * @throws Refused
     */
    public function handle(int $orderId, TypedReceipt $typed, Signed $signed): Booking
    {
        $parts = $this->parts($orderId, $typed);

        return $this->bookings->once(BookingKind::Ship, $signed, ...$parts);
    }

    /** @return list<Part> */
    public function parts(int $orderId, TypedReceipt $typed): array
    {
        return [
            $this->receive->part($orderId, $typed),
            new Part(
                fn (): Needs => $this->needs($orderId),
                fn (Ledger $ledger, Held $held) => $this->on(
                    $ledger,
                    $held,
                    $held->order($orderId),
                    trim($typed->codes),
                ),
            ),
        ];
    }

    private function needs(int $orderId): Needs
    {
        $lines = self::lines($orderId);
        $customerOrder = $lines->first()?->customer_order_id;

        return $customerOrder === null
            ? Needs::nothing()
            : $this->ship->needs($customerOrder, array_values($lines->modelKeys()));
    }

    /**
     * What was promised from stock by receiving it goes to whom it was promised.
     *
     * @throws Refused
     */
    private function on(Ledger $ledger, Held $held, Order $order, string $codes): void
    {
        if ($order->item->tracking === Tracking::Serial) {
            throw CoverRefused::serialsAreChosen($order->item->label());
        }
        $lot = $order->item->isTracked() ? Lots::find($order->item_id, $codes === '' ? $order->number : $codes) : null;
        $lines = [];
        foreach ($ledger->booking->tieEntries()->with('tie.line')->get() as $entry) {
            $line = $entry->tie->isFromStock() ? $entry->tie->line : null;
            if ($line !== null && $entry->amount()->isPositive()) {
                $lines[$line->customer_order_id][$line->id] = [
                    'quantity' => (string) $entry->amount(),
                    'lot' => $lot->id ?? 0,
                ];
            }
        }
        if (count($lines) !== 1) {
            throw CoverRefused::notForOne($order->number, count($lines));
        }
        $this->ship->write($ledger, $held, array_key_first($lines), current($lines));
    }

    /** @return Collection<int, CustomerOrderLine> lines the order is made for */
    private static function lines(int $orderId): Collection
    {
        $covers = Tie::query()
            ->whereRelation('output', 'order_id', $orderId)
            ->whereNotNull('line_id')
            ->where('quantity', '>', 0);

        return CustomerOrderLine::query()->whereKey($covers->pluck('line_id'))->orderBy('id')->get();
    }
}
