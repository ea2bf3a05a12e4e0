<?php

namespace App\Actions\Bookings;

use App\Actions\Questions\Questions;
use App\Books\Bookings;
use App\Books\Heads;
use App\Books\Ledger;
use App\Books\MovesBack;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Move;
use App\Models\Order;
use App\Models\Place;
use App\Models\Purchase;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\OrderDeed;
use KeepPace\Core\Refused;

/** Takes back some lines of a booking whose lines stand by themselves; the rest of it stays. */
final class ReverseLines
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  list<int>  $moveIds
     *
     * @throws Refused
     */
    public function handle(int $bookingId, array $moveIds, Signed $signed): Booking
    {
        return $this->bookings->once(
            BookingKind::LinesReversed,
            $signed,
            function (Ledger $ledger) use ($bookingId, $moveIds): void {
                $booking = Booking::query()->with('coverEntries.cover')->lockForUpdate()->findOrFail($bookingId);
                $this->assertHasLines($booking);
                $moves = $this->lines($booking, $moveIds);
                Heads::purchaseOrders(
                    Purchase::query()
                        ->whereKey($moves->pluck('purchase_id')->filter())
                        ->pluck('purchase_order_id')
                        ->all(),
                );
                $orders = Heads::orders($moves->pluck('order_id')->all());
                foreach ($orders as $order) {
                    $order->assertMay(OrderDeed::BookAgain);
                    $ledger->touch($order);
                }
                (new MovesBack(
                    $ledger,
                    $booking->setRelation('coverEntries', new Collection()),
                    $moves,
                    $orders,
                ))->write();
                $this->cost($ledger, $moves, $orders);
                Questions::reversed($ledger, $booking->setRelation('moves', $moves));
                $this->assertNotPromised($ledger, $moves);
                $ledger->booking->order_id = $booking->order_id;
                $ledger->says(
                    ($moves->count() === 1 ? '1 line' : "{$moves->count()} lines")
                        ." reversed of booking {$booking->id}: {$booking->says}",
                );
            },
        );
    }

    /** @throws Refused */
    private function assertHasLines(Booking $booking): void
    {
        if (! $booking->kind->hasLines()) {
            throw Refused::because(
                "The lines of '{$booking->kind->label()}' hang together. Reverse the whole booking.",
            );
        }
        if (Booking::query()->where('reverses_id', $booking->id)->exists()) {
            throw Refused::because('The whole booking was reversed meanwhile.');
        }
    }

    /**
     * @param  Collection<int, Move>  $moves
     * @param  Collection<int, Order>  $orders  by id
     */
    private function cost(Ledger $ledger, Collection $moves, Collection $orders): void
    {
        $inOrders = Place::end('order')->id;
        foreach ($moves as $move) {
            if ($move->component_id !== null && isset($orders[$move->order_id])) {
                $cents = $move->to_place_id === $inOrders ? -$move->value : $move->value;
                $ledger->cost($orders[$move->order_id], 'material', $cents);
            }
        }
    }

    /**
     * @param  Collection<int, Move>  $moves
     *
     * @throws Refused
     */
    private function assertNotPromised(Ledger $ledger, Collection $moves): void
    {
        foreach ($moves->pluck('item_id')->unique() as $item) {
            if ($ledger->stock->isOverpromised($item)) {
                throw Refused::because('What came in by this line is promised to a customer line. Untie that first.');
            }
        }
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Move>
     */
    private function lines(Booking $booking, array $ids): Collection
    {
        $moves = Move::query()->where('booking_id', $booking->id)->whereKey($ids)->orderBy('id')->get();
        if ($moves->isEmpty()) {
            throw Refused::because('No line was chosen. Tick the lines to take back.');
        }
        if (Move::query()->whereIn('reverses_id', $moves->modelKeys())->exists()) {
            throw Refused::because('One of these lines was taken back already.');
        }
        // with standard cost the variance of a receipt goes with it
        $variance = Move::query()
            ->where('booking_id', $booking->id)
            ->where('quantity', 0)
            ->whereIn('item_id', $moves->pluck('item_id'))
            ->whereIn('lot_id', $moves->pluck('lot_id'))
            ->whereNotIn('id', Move::query()->whereNotNull('reverses_id')->select('reverses_id'))
            ->pluck('id')
            ->all();

        return Move::query()->whereKey([...$moves->modelKeys(), ...$variance])->orderBy('id')->get();
    }
}
