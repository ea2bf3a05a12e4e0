<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Person;
use App\Shop\ShopState;
use Brick\Math\BigDecimal;
use KeepPace\Core\Planning\Allocated;
use KeepPace\Core\Planning\OrderRefused;
use KeepPace\Core\Planning\Release;
use KeepPace\Core\Refused;

/**
 * Turns firm orders into instructions to the shop: rates and planned cost are frozen, the first step takes the pieces
 * in.
 */
final class ReleaseOrders
{
    public function __construct(private readonly Bookings $bookings, private readonly PlannedCost $cost)
    {
    }

    /**
     * @param  list<int>  $ids
     * @param  string|null  $shortReason  why orders whose parts are not all there are released all the same
     *
     * @throws Refused with all the reasons of all the orders; none is released then
     */
    public function handle(array $ids, ?string $shortReason, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Release, $signed, function (Ledger $ledger) use (
            $ids,
            $shortReason,
            $signed,
        ): void {
            sort($ids);
            $orders = Order::query()
                ->with(['structure', 'item.unit'])
                ->whereKey($ids)
                ->orderBy('id')
                ->lockForUpdate()
                ->get();
            if ($orders->isEmpty()) {
                throw OrderRefused::nothingChosen();
            }
            $shop = ShopState::now();
            $reasons = [];
            $short = [];
            foreach ($orders as $order) {
                $release = new Release(
                    "Order {$order->number}",
                    $order->state,
                    $order->is_held,
                    $order->steps()->exists(),
                    $order->structure === null || $order->structure->status === 'approved',
                    array_values(array_unique(array_map(
                        fn (Allocated $part): string => $part->need->itemName,
                        $shop->shortParts($order->id),
                    ))));
                try {
                    $release->decide($shortReason);
                } catch (Refused $refused) {
                    array_push($reasons, ...array_values($refused->reasons));
                }
                if ($release->shortBlockers() !== []) {
                    $short[$order->id] = array_map(
                        fn (Allocated $part): int => $part->need->id,
                        $shop->shortParts($order->id),
                    );
                }
            }
            if ($reasons !== []) {
                throw new Refused($reasons);
            }
            foreach ($orders as $order) {
                $this->release($ledger, $order, $signed->person, isset($short[$order->id]) ? $shortReason : null);
                OrderComponent::query()->whereKey($short[$order->id] ?? [])->update(['short_at_release' => true]);
            }
            $ledger->concerns($orders->count() === 1 ? $orders->first() : null);
            $ledger->says(
                'Released '
                    .$orders->pluck('number')->join(', ', ' and ')
                    .($short === [] ? '.' : ", short: {$shortReason}"),
            );
        });
    }

    private function release(Ledger $ledger, Order $order, Person $by, ?string $shortReason): void
    {
        $this->cost->freeze($order);
        $first = $order->steps()->firstOrFail();
        $ledger->pieces($first, $first->pieces()->takeIn(BigDecimal::of($order->quantity)));
        $order->released_at = now()->toImmutable();
        $order->released_by = $by->id;
        $order->short_reason = $shortReason;
        $order->save();
        $ledger->change($order, 'released', '', $shortReason === null ? 'with all parts' : "short: {$shortReason}");
    }
}
