<?php

namespace App\Books;

use App\Models\Bill;
use App\Models\Booking;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Models\PurchaseOrder;
use Illuminate\Support\Facades\DB;

/** One open booking: the books it writes, always in this order, and the documents whose history it stands in. */
final class Ledger
{
    /** @var array<int, Order> whose state is derived anew at the end */
    private array $touched = [];

    /** @var array<int, CustomerOrder> */
    private array $touchedCustomerOrders = [];

    /** @var array<int, PurchaseOrder> whose state is derived anew at the end */
    private array $touchedPurchaseOrders = [];

    /** @var array<int, Bill> */
    private array $touchedBills = [];

    private ?Held $held = null;

    public readonly LockedBalances $stock;

    public readonly Moves $moves;

    public readonly Consigned $consigned;

    public readonly Counts $counts;

    public readonly Costs $costs;

    public readonly Outputs $outputs;

    public readonly Ties $ties;

    public readonly Covers $covers;

    public readonly Kept $kept;

    public readonly MadeFor $madeFor;

    public readonly Bought $bought;

    public readonly Owed $owed;

    public readonly Claims $claims;

    public readonly Records $records;

    public readonly Ask $ask;

    public readonly Questions $questions;

    public function __construct(public readonly Booking $booking)
    {
        $this->stock = new LockedBalances;
        $this->moves = new Moves($this);
        $this->consigned = new Consigned($this);
        $this->counts = new Counts($this);
        $this->costs = new Costs($this);
        $this->outputs = new Outputs($this);
        $this->ties = new Ties($this);
        $this->covers = new Covers($this);
        $this->kept = new Kept($this);
        $this->madeFor = new MadeFor($this);
        $this->bought = new Bought($this);
        $this->owed = new Owed($this);
        $this->claims = new Claims($this);
        $this->records = new Records($this);
        $this->ask = new Ask($this);
        $this->questions = new Questions($this);
    }

    /**
     * The one order in which they are written and reversed: documents come after what stands on them.
     *
     * @return list<Book>
     */
    public function books(): array
    {
        return [
            $this->moves,
            $this->consigned,
            $this->counts,
            $this->costs,
            $this->ties,
            $this->owed,
            $this->claims,
            $this->records,
            $this->questions,
        ];
    }

    /** Locks all that the deed needs, once, before anything is written. */
    public function hold(Needs $needs): Held
    {
        if ($this->held !== null) {
            throw new \LogicException('All of a deed is locked at once, or two deeds can lock each other out.');
        }

        return $this->held = Held::of($needs, $this->stock);
    }

    public function held(): Held
    {
        return $this->held ?? throw new \LogicException('Nothing is held yet.');
    }

    /** The purchase order in whose history the booking stands. */
    public function concernsPurchase(PurchaseOrder $order): void
    {
        $this->booking->purchase_order_id = $order->id;
        $this->touch($order);
    }

    /** The supplier's bill in whose history the booking stands. */
    public function concernsBill(Bill $bill): void
    {
        $this->booking->bill_id = $bill->id;
        $this->touchedBills[$bill->id] = $bill;
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

    /** A sentence more of what the booking says. */
    public function says(string $sentence): void
    {
        $this->booking->says = mb_strimwidth(ltrim("{$this->booking->says} {$sentence}"), 0, 300, '…');
    }

    public function finish(): Booking
    {
        foreach ($this->books() as $book) {
            $book->flush();
        }
        array_map($this->says(...), $this->moves->leavesWithout());
        $this->stock->write();
        $facts = OrderFacts::of(array_values($this->touched));
        $this->outputs->fit($facts);
        $this->covers->fit($facts);
        $this->bought->fit(array_keys($this->touchedPurchaseOrders));
        $same = [];
        foreach ($this->touched as $order) {
            $order->state = $facts[$order->id]->state;
            if (! $order->state->isOpen()) {
                $this->kept->end($order);
                $this->bought->end($order);
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
        foreach ($this->touchedBills as $bill) {
            $bill->version++;
            $bill->save();
        }
        PurchaseFacts::derive($this->touchedPurchaseOrders);
        $this->booking->end();

        return $this->booking;
    }

    /** The record changed: its version, and the state of an order, are brought up to date when the booking ends. */
    public function touch(Order|CustomerOrder|PurchaseOrder $record): void
    {
        match (true) {
            $record instanceof Order => $this->touched[$record->id] = $record,
            $record instanceof CustomerOrder => $this->touchedCustomerOrders[$record->id] = $record,
            default => $this->touchedPurchaseOrders[$record->id] = $record,
        };
    }

    /** A line in the order's history, for people to read. */
    public function change(Order $order, string $what, string $before, string $after): void
    {
        DB::table('order_changes')->insert([
            'booking_id' => $this->booking->id,
            'order_id' => $order->id,
            'what' => $what,
            'before' => $before,
            'after' => $after,
        ]);
        $this->touch($order);
    }
}
