<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\Place;
use App\Models\Purchase;
use Brick\Math\BigDecimal;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\StockKey;

/**
 * Takes back moves of an earlier booking, all or some, with what they did to components, lines, purchases and orders.
 */
final class MovesBack
{
    /** @var Collection<int, Item> */
    private readonly Collection $items;

    /** @var Collection<int, Place> */
    private readonly Collection $places;

    /**
     * Locks what they touch.
     *
     * @param  Collection<int, Move>  $moves
     * @param  Collection<int, Order>  $orders  locked, by id
     */
    public function __construct(
        private readonly Ledger $ledger,
        private readonly Booking $booking,
        private readonly Collection $moves,
        private readonly Collection $orders,
    ) {
        $this->places = Place::all()->keyBy('id');
        $this->items = Item::query()->with('unit')->whereKey($moves->pluck('item_id')->unique())->get()->keyBy('id');
        $keys = [];
        foreach ($moves as $move) {
            foreach ([$this->end($move, 'from'), $this->end($move, 'to')] as $key) {
                if ($key instanceof StockKey) {
                    $keys[$key->sortKey()] = $key;
                }
            }
        }
        $covered = $booking->coverEntries->map(fn ($entry): int => $entry->cover->item_id);
        $kept = DB::table('reservation_entries AS e')
            ->join('reservations AS r', 'r.id', 'e.reservation_id')
            ->where('e.booking_id', $booking->id)
            ->pluck('r.item_id');
        $ledger->stock->lock(array_values($this->items->keys()->merge($covered)->merge($kept)->unique()->all()));
        $ledger->stock->read(array_values($keys));
    }

    /** @throws Refused when what followed stands on them, naming it */
    public function write(): void
    {
        foreach ($this->moves->reverse() as $move) {
            $from = $this->end($move, 'to');
            try {
                $this->ledger->moveBack($this->items[$move->item_id], $move, $from, $this->end($move, 'from'));
            } catch (Refused $refused) {
                throw $from instanceof StockKey
                    ? LaterBookings::ofStock($this->booking, $from)->refused(
                        'What came in by this has been used since.',
                    )
                    : $refused;
            }
            $quantity = BigDecimal::of($move->quantity);
            $this->component($move, $quantity);
            if ($move->line_id !== null) {
                $line = CustomerOrderLine::query()->findOrFail($move->line_id);
                $line->shipped_quantity = (string) BigDecimal::of($line->shipped_quantity)->minus($quantity);
                $line->is_open = true;
                $line->save();
            }
            if ($move->purchase_id !== null) {
                $purchase = Purchase::query()->findOrFail($move->purchase_id);
                $purchase->received_quantity = (string) BigDecimal::of($purchase->received_quantity)->minus($quantity);
                $purchase->is_open = $purchase->openQuantity()->isPositive();
                $purchase->save();
            }
            if ($this->booking->kind === BookingKind::Receive && isset($this->orders[$move->order_id])) {
                $order = $this->orders[$move->order_id];
                $order->received_quantity = (string) BigDecimal::of($order->received_quantity)->minus($quantity);
                $order->received_value -= $move->value;
            }
        }
        $this->reservations();
    }

    /**
     * Material, in cents by order, that lines reversed one by one took back before.
     *
     * @return array<int, int>
     */
    public function linesBefore(): array
    {
        $places = $this->places;
        $sums = [];
        foreach (
            Move::query()
                ->whereIn('reverses_id', Move::query()->where('booking_id', $this->booking->id)->select('id'))
                ->whereNotNull('component_id')
                ->where('booking_id', '<>', $this->ledger->booking->id)
                ->get() as $move
        ) {
            $sign = $places[$move->from_place_id]->kind === 'order' ? 1 : -1;
            $sums[(int) $move->order_id] = ($sums[(int) $move->order_id] ?? 0) + $sign * $move->value;
        }

        return $sums;
    }

    private function component(Move $move, BigDecimal $quantity): void
    {
        if ($move->component_id === null) {
            return;
        }
        // a return put back is used again
        $sign = $this->places[$move->to_place_id]->kind === 'order' ? -1 : 1;
        $component = OrderComponent::query()->findOrFail($move->component_id);
        $component->used_quantity = (string) BigDecimal::of($component->used_quantity)->plus(
            $quantity->multipliedBy($sign),
        );
        $component->used_value += $sign * $move->value;
        if (BigDecimal::of($component->used_quantity)->isNegative()) {
            throw Refused::because(
                "Of {$this->items[$move->item_id]->label()} some has gone back to stores since. Reverse that return "
                    .'first.',
            );
        }
        $component->save();
        if ($component->stands_for_id !== null) {
            $planned = OrderComponent::query()->findOrFail($component->stands_for_id);
            $planned->replaced_quantity = (string) BigDecimal::of($planned->replaced_quantity)->plus(
                $quantity->multipliedBy($sign),
            );
            $planned->save();
        }
    }

    /** What the order had kept for itself is kept again, as far as it is there. */
    private function reservations(): void
    {
        foreach (
            DB::table('reservation_entries AS e')
                ->join('reservations AS r', 'r.id', 'e.reservation_id')
                ->where('e.booking_id', $this->booking->id)
                ->orderBy('r.id')
                ->get(['r.id', 'r.item_id', 'r.lot_id', 'e.quantity']) as $row
        ) {
            $back = BigDecimal::of($row->quantity)->negated();
            if ($back->isPositive()) {
                $kept = BigDecimal::of(
                    (string) DB::table('reservations')
                        ->where('item_id', $row->item_id)
                        ->where('quantity', '>', 0)
                        ->when($row->lot_id !== 0, fn ($query) => $query->where('lot_id', $row->lot_id))
                        ->sum('quantity'),
                );
                $there = $this->ledger->stock->quantity($row->item_id, $row->lot_id);
                $back = BigDecimal::max(0, BigDecimal::min($back, $there->minus($kept)));
            }
            if (! $back->isZero()) {
                DB::table('reservations')
                    ->where('id', $row->id)
                    ->update(['quantity' => DB::raw("GREATEST(quantity + {$back}, 0)")]);
                DB::table('reservation_entries')->insert([
                    'booking_id' => $this->ledger->booking->id,
                    'reservation_id' => $row->id,
                    'quantity' => (string) $back,
                ]);
            }
        }
    }

    private function end(Move $move, string $side): StockKey|string
    {
        $place = $this->places[$move->{"{$side}_place_id"}];

        return $place->holdsStock()
            ? new StockKey(
                $move->item_id,
                $place->id,
                $move->lot_id,
                Condition::from($move->{"{$side}_condition"}),
                $move->owner_id,
            )
            : $place->kind;
    }
}
