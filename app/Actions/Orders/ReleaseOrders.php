<?php

namespace App\Actions\Orders;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Shop\ShopState;
use Illuminate\Support\Collection;
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
    public function __construct(
        private readonly Bookings $bookings,
        private readonly OrderRelease $release,
        private readonly TakenParts $parts,
    ) {
    }

    /**
     * @param  list<int>  $ids
     * @param  string|null  $shortReason  why orders whose parts are not all there are released all the same
     *
     * @throws Refused with all the reasons of all the orders; none is released then
     */
    public function handle(array $ids, ?string $shortReason, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::Release, $signed, new Part(
            Needs::orders($ids),
            fn (Ledger $ledger, Held $held) => $this->write($ledger, $held, $shortReason, $signed),
        ));
    }

    /** @throws Refused */
    private function write(Ledger $ledger, Held $held, ?string $shortReason, Signed $signed): void
    {
        $orders = $held->orders->load(['structure', 'item.unit']);
        if ($orders->isEmpty()) {
            throw OrderRefused::nothingChosen();
        }
        $taken = $orders->flatMap(fn (Order $order): array => $this->parts->ofReleased($ledger, $order));
        $short = $this->short($orders, $shortReason);
        foreach ($orders as $order) {
            $this->release->write($ledger, $order, $signed->person, isset($short[$order->id]) ? $shortReason : null);
            OrderComponent::query()->whereKey($short[$order->id] ?? [])->update(['short_at_release' => true]);
        }
        $ledger->concerns($orders->count() === 1 ? $orders->first() : null);
        $ledger->says(
            'Released '
                .$orders->pluck('number')->join(', ', ' and ')
                .($short === [] ? '.' : ", short: {$shortReason}"),
        );
        $taken->each($ledger->says(...));
    }

    /**
     * @param  Collection<int, Order>  $orders
     * @return array<int, list<int>> components that are not there, by order
     *
     * @throws Refused with all the reasons of all the orders
     */
    private function short(Collection $orders, ?string $shortReason): array
    {
        $shop = ShopState::now();
        $reasons = [];
        $short = [];
        foreach ($orders as $order) {
            $release = new Release(
                "Order {$order->number}",
                $order->state,
                $order->is_held,
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

        return $reasons === [] ? $short : throw new Refused($reasons);
    }
}
