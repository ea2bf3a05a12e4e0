<?php

namespace App\Actions\Usage;

use App\Actions\Bookings\Bookings;
use App\Actions\Bookings\Ledger;
use App\Actions\Bookings\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderComponent;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\StockKey;
use KeepPace\Core\Stock\Withdrawal;

/**
 * The wrong lot was booked: one booking swaps it for the right one in stock, in the order and in its cost, even when
 * the product has been closed or shipped. What the swap costs more or less on a closed order is its variance.
 */
final class CorrectLot
{
    public function __construct(private readonly Bookings $bookings)
    {
    }

    /**
     * @param  string  $code  of the lot or serial that was really used
     * @param  string|null  $quantity  in the stock unit; null = all of the move
     *
     * @throws Refused
     */
    public function handle(
        int $moveId,
        string $code,
        ?string $quantity,
        Signed $signed,
    ): Booking {
        return $this->bookings->once(
            BookingKind::LotCorrected,
            $signed,
            function (Ledger $ledger) use ($moveId, $code, $quantity): void {
                $move = Move::query()->with('from', 'to')->findOrFail($moveId);
                if ($move->component_id === null || $move->to->kind !== 'order' || $move->order_id === null) {
                    throw Refused::because(
                        'Only what was used for an order can have its lot corrected. Reverse this one instead.',
                    );
                }
                $order = Order::query()->lockForUpdate()->findOrFail($move->order_id);
                $component = OrderComponent::query()->findOrFail($move->component_id);
                $item = Item::query()->with('unit', 'units.unit')->findOrFail($move->item_id);
                if (Move::query()->where('reverses_id', $move->id)->exists()) {
                    throw Refused::because('This line was taken back or corrected already. Correct the newer booking.');
                }
                if (! $item->isTracked()) {
                    throw Refused::because("{$item->label()} is not tracked: there is no lot to correct.");
                }
                $all = BigDecimal::of($move->quantity);
                $part = $quantity === null || trim($quantity) === '' ? $all : $item->quantity($quantity)->amount;
                if (! $part->isPositive() || $part->isGreaterThan($all)) {
                    throw Refused::because(
                        sprintf('%s were booked from this lot. Correct no more than that.', Amount::plain($all)),
                        'quantity',
                    );
                }
                $wrong = Lot::query()->findOrFail($move->lot_id);
                $from = new StockKey(
                    $item->id,
                    $move->from_place_id,
                    $move->lot_id,
                    Condition::from($move->from_condition),
                    $move->owner_id,
                );
                $ledger->stock->lock([$item->id]);
                $ledger->stock->readFree([$item->id], $move->owner_id === 0 ? [] : [$move->owner_id]);
                $ledger->stock->read([$from]);
                $free = new FreeStock($ledger, new Collection([$item->id => $item]));
                $lots = $free->named(
                    $item,
                    $free->lots($item, $order->id, $move->owner_id),
                    trim($code),
                    $order->id,
                    $move->owner_id,
                    $part,
                    $ledger->booking->booked_on,
                );
                if ($lots[0]->key->lot === $move->lot_id) {
                    throw Refused::because(
                        "{$wrong->code} is what is booked. Name the lot that was really used.",
                        'code',
                    );
                }
                $was = $ledger->moveBack($item, $move, 'order', $from);
                $now = $part->isEqualTo($all)
                    ? 0
                    : $this->use($ledger, $order, $component, $item, $from, $all->minus($part));
                foreach (
                    Withdrawal::decide(
                        $item->label(),
                        array_map(fn ($lot): array => ['key' => $lot->key, 'quantity' => $lot->quantity], $lots),
                        $part,
                        BigDecimal::zero(),
                    )->parts as $taken
                ) {
                    $now += $this->use($ledger, $order, $component, $item, $taken['key'], $taken['quantity']);
                }
                $component->used_value += $now - $was;
                $component->save();
                $ledger->cost($order, 'material', $now - $was);
                if ($order->state === OrderState::Closed) {
                    $ledger->cost($order, 'variance', $was - $now);
                }
                $ledger->concerns($order);
                $ledger->says(
                    Amount::plain($part)
                        ." {$item->unit->code} {$item->label()} of order {$order->number} were of {$lots[0]->code}, not of {$wrong->code}.",
                );
            },
        );
    }

    private function use(
        Ledger $ledger,
        Order $order,
        OrderComponent $component,
        Item $item,
        StockKey $from,
        BigDecimal $quantity,
    ): int {
        return $ledger->move($item, $quantity, null, $from, 'order', [
            'component_id' => $component->id,
            'order_id' => $order->id,
        ]);
    }
}
