<?php

namespace App\Books;

use App\Models\Booking;
use App\Models\Cover;
use App\Models\CustomerOrder;
use App\Models\CustomerOrderLine;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderStep;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Routing\Pieces;
use KeepPace\Core\Stock\StockKey;

/**
 * What one open booking writes: moves with their balances, counts at steps, cost, cover, changes.
 */
final class Ledger
{
    /**
     * @var array<string, array{booking_id: int, order_id: int, kind: string, cents: int, order_step_id: int|null}> cost
     *     entries to be written at the end, one for each order, kind and step
     */
    private array $costs = [];

    /** @var list<array<string, CarbonImmutable|int|string|null>> to be written at the end */
    private array $stepEntries = [];

    private readonly Moves $moves;

    /** @var array<int, Order> whose state is derived anew at the end */
    private array $touched = [];

    /** @var array<int, CustomerOrder> */
    private array $touchedCustomerOrders = [];

    public readonly LockedBalances $stock;

    public function __construct(public readonly Booking $booking)
    {
        $this->stock = new LockedBalances;
        $this->moves = new Moves($booking, $this->stock);
    }

    /** Names the order, the customer order or both in whose history the booking stands. */
    public function concerns(?Order $order = null, ?CustomerOrder $customerOrder = null): void
    {
        if ($order !== null) {
            $this->booking->order_id = $order->id;
            $this->touch($order);
        }
        if ($customerOrder !== null) {
            $this->booking->customer_order_id = $customerOrder->id;
            $this->touch($customerOrder);
        }
    }

    public function says(string $sentence): void
    {
        $this->booking->says = mb_strimwidth($sentence, 0, 300, '…');
    }

    public function finish(): Booking
    {
        $this->flush();
        $facts = OrderFacts::of(array_values($this->touched));
        $this->fitCover($facts);
        $same = [];
        foreach ($this->touched as $order) {
            $order->state = $facts[$order->id]['state'];
            if (! $order->state->isOpen()) {
                $this->endReservations($order);
            }
            $order->version++;
            // a slip touches many orders and changes nothing else of most
            array_keys($order->getDirty()) === ['version'] ? $same[] = $order->id : $order->save();
        }
        $same === []
        ?: DB::table('orders')
            ->whereIn('id', $same)
            ->update(['version' => DB::raw('version + 1'), 'updated_at' => now()]);
        foreach ($this->touchedCustomerOrders as $customerOrder) {
            $customerOrder->version++;
            $customerOrder->save();
        }
        $this->booking->end();

        return $this->booking;
    }

    /** The record changed: its version, and the state of an order, are brought up to date when the booking ends. */
    public function touch(Order|CustomerOrder $record): void
    {
        if ($record instanceof Order) {
            $this->touched[$record->id] = $record;
        } else {
            $this->touchedCustomerOrders[$record->id] = $record;
        }
    }

    /**
     * @param  array<string, int|string|null>  $because
     *
     * @see Moves::move()
     */
    public function move(
        Item $item,
        BigDecimal $quantity,
        ?int $value,
        StockKey|string $from,
        StockKey|string $to,
        array $because = [],
        int $lot = 0,
    ): int {
        return $this->moves->move($item, $quantity, $value, $from, $to, $because, $lot);
    }

    /**
     * @param  list<int>  $receipts
     * @param  array<string, int|string|null>  $because
     *
     * @see Moves::revalue()
     */
    public function revalue(
        Item $item,
        int $cents,
        StockKey $key,
        string $end,
        array $receipts = [],
        array $because = [],
    ): void {
        $this->moves->revalue($item, $cents, $key, $end, $receipts, $because);
    }

    /** @see Moves::variance() */
    public function variance(Item $item, int $cents, int $lot = 0): void
    {
        $this->moves->variance($item, $cents, $lot);
    }

    /** @see Moves::back() */
    public function moveBack(Item $item, Move $move, StockKey|string $from, StockKey|string $to): int
    {
        return $this->moves->back($item, $move, $from, $to);
    }

    /** @param  string  $kind material, labour, machine, overhead, outside, receipt, variance */
    public function cost(Order $order, string $kind, int $cents, ?OrderStep $step = null): void
    {
        if ($cents !== 0) {
            $at = "{$order->id}-{$kind}-".($step->id ?? 0);
            $this->costs[$at] ??= [
                'booking_id' => $this->booking->id,
                'order_id' => $order->id,
                'kind' => $kind,
                'cents' => 0,
                'order_step_id' => $step?->id,
            ];
            $this->costs[$at]['cents'] += $cents;
        }
    }

    /**
     * Brings a step to new counts and writes the difference, with the minutes booked.
     *
     * @param  array<string, CarbonImmutable|int|null>  $clock  how the step's clock stood, as StepClock says it
     */
    public function pieces(
        OrderStep $step,
        Pieces $now,
        int $labourMinutes = 0,
        int $machineMinutes = 0,
        array $clock = [],
    ): void {
        $was = $step->pieces();
        $this->stepEntries[] = [
            'booking_id' => $this->booking->id,
            'order_step_id' => $step->id,
            'taken_in' => (string) $now->takenIn->minus($was->takenIn),
            'good' => (string) $now->good->minus($was->good),
            'scrap' => (string) $now->scrap->minus($was->scrap),
            'passed_on' => (string) $now->passedOn->minus($was->passedOn),
            'labour_minutes' => $labourMinutes,
            'machine_minutes' => $machineMinutes,
            ...array_fill_keys(StepClock::COLUMNS, null),
            ...$clock,
        ];
        $step->taken_in = (string) $now->takenIn;
        $step->good = (string) $now->good;
        $step->scrap = (string) $now->scrap;
        $step->passed_on = (string) $now->passedOn;
        $step->booked_minutes += $machineMinutes;
        $step->save();
    }

    /**
     * Adds to (or takes from) what one supply covers of a customer line.
     *
     * @param  Order|null  $order null = stock
     */
    public function cover(CustomerOrderLine $line, ?Order $order, BigDecimal $quantity): void
    {
        $cover = Cover::query()->firstOrCreate(
            ['line_id' => $line->id, 'supply' => $order === null ? Cover::STOCK : Cover::byOrder($order->id)],
            ['item_id' => $line->item_id, 'order_id' => $order?->id, 'quantity' => '0'],
        );
        if ($order !== null && $order->owner_id === null) {
            $order->owner_id = (int) DB::table('customer_orders')
                ->where('id', $line->customer_order_id)
                ->value('customer_id');
            $this->touch($order);
        }
        $this->changeCover($cover, $quantity);
    }

    public function changeCover(Cover $cover, BigDecimal $quantity): void
    {
        // added in SQL: the check of the column refuses what would fall below zero
        Cover::query()->whereKey($cover->id)->update(['quantity' => DB::raw("quantity + {$quantity}")]);
        $cover->quantity = (string) BigDecimal::of($cover->quantity)->plus($quantity);
        $cover->syncOriginal();
        $this->booking->coverEntries()->create(['cover_id' => $cover->id, 'quantity' => (string) $quantity]);
    }

    public function change(Order $order, string $what, string $before, string $after): void
    {
        DB::table('order_changes')->insert(['booking_id' => $this->booking
            ->id, 'order_id' => $order->id, 'what' => $what, 'before' => $before, 'after' => $after]);
        $this->touch($order);
    }

    /**
     * Moves and balances are written at the end, in bulk: an opening has thousands. Until then the locked balances are
     * the truth.
     */
    private function flush(): void
    {
        $this->moves->flush();
        DB::table('step_entries')->insert($this->stepEntries);
        foreach (array_chunk(array_filter($this->costs, fn (array $row): bool => $row['cents'] !== 0), 500) as $rows) {
            DB::table('cost_entries')->insert($rows);
        }
        $this->stock->write();
    }

    /** What is no longer made keeps nothing. */
    private function endReservations(Order $order): void
    {
        foreach (
            DB::table('reservations')
                ->where('order_id', $order->id)
                ->where('quantity', '>', 0)
                ->get(['id', 'quantity']) as $row
        ) {
            DB::table('reservations')
                ->where('id', $row->id)
                ->update(['quantity' => '0']);
            DB::table('reservation_entries')->insert([
                'booking_id' => $this->booking->id,
                'reservation_id' => $row->id,
                'quantity' => "-{$row->quantity}",
            ]);
        }
    }

    /**
     * An order covers no more than it will still give: what scrap took, and what a built order still promised, is no
     * longer covered from this moment. Who was promised latest loses first.
     *
     * @param  array<int, array{state: OrderState, gives: BigDecimal}>  $facts  by order
     */
    private function fitCover(array $facts): void
    {
        $covers = $facts === []
            ? []
            : Cover::query()
                ->with('line.customerOrder')
                ->whereIn('order_id', array_keys($facts))
                ->where('quantity', '>', 0)
                ->get()
                ->sortBy(fn (Cover $cover): array => [$cover->line->promised_on, $cover->id])->groupBy('order_id');
        foreach ($covers as $id => $of) {
            $left = $facts[$id]['state']->isOpen()
                ? $facts[$id]['gives']->minus($this->touched[$id]->received_quantity)
                : BigDecimal::zero();
            foreach ($of as $cover) {
                $kept = BigDecimal::max(0, BigDecimal::min($left, $cover->quantity));
                $left = $left->minus($kept);
                $lost = BigDecimal::of($cover->quantity)->minus($kept);
                if ($lost->isPositive()) {
                    $this->changeCover($cover, $lost->negated());
                    $this->says(
                        "{$this->booking->says} It covers "
                            .Amount::plain($lost)
                            ." less of {$cover->line->label()}.",
                    );
                }
            }
        }
    }
}
