<?php

namespace Tests\Support;

use App\Access\Role;
use App\Actions\Billing\EnterBill;
use App\Actions\Billing\TypedBill;
use App\Actions\Billing\TypedBillLine;
use App\Actions\Bookings\ReverseBooking;
use App\Actions\Builds\ShipAsBuilt;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Import\ImportFolder;
use App\Actions\Import\ImportRefused;
use App\Actions\Orders\CloseOrder;
use App\Actions\Orders\MakeOrder;
use App\Actions\Orders\ReceiveOrder;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Orders\TypedOutput;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Outside\ComesBack;
use App\Actions\Outside\SendOut;
use App\Actions\Outside\TypedBack;
use App\Actions\Outside\TypedComponentOut;
use App\Actions\Outside\TypedPartOut;
use App\Actions\Outside\TypedSendOut;
use App\Actions\Purchasing\GoAlong;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\OrderWork;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\SendPurchase;
use App\Actions\Purchasing\TypedSending;
use App\Actions\Shop\ReportStep;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\ProposeSlip;
use App\Actions\Usage\UseLine;
use App\Books\Signed;
use App\Models\Balance;
use App\Models\Bill;
use App\Models\BillLine;
use App\Models\Booking;
use App\Models\Customer;
use App\Models\CustomerOrder;
use App\Models\Item;
use App\Models\Lot;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Person;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\PurchasePart;
use App\Models\Supplier;
use App\Planner\PlanRound;
use App\Planner\Unplanned;
use App\Shop\Away;
use App\Verify\Checks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KeepPace\Core\Outside\Whose;
use KeepPace\Core\Purchasing\Holds;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;

/** The deeds of the shop in one line each, for tests. */
final class Shop
{
    public function as(Role $role): Person
    {
        return Person::inRole($role);
    }

    /** A deed of somebody in that role; without a token it is one of its own. */
    public function sign(Role $role, string $reason = '', ?string $token = null): Signed
    {
        return new Signed($token ?? $this->token(), $this->as($role), $reason);
    }

    public function item(string $number): Item
    {
        return Item::query()->with('unit', 'units.unit')->where('number', $number)->firstOrFail();
    }

    public function token(): string
    {
        return (string) Str::uuid();
    }

    /** @param  array<string, string>  $lines quantity by item number */
    public function customerOrder(array $lines, string $promisedOn = '2026-12-18'): CustomerOrder
    {
        $rows = [];
        foreach ($lines as $item => $quantity) {
            $rows[] = [
                'item' => $item,
                'quantity' => $quantity,
                'unit' => null,
                'promised_on' => $promisedOn,
                'price' => null,
            ];
        }
        $booking = app(EnterCustomerOrder::class)->handle(
            ['customer_id' => Customer::query()->firstOrFail()->id, 'reference' => 'PO 1', 'ship_to' => ''],
            $rows,
            $this->sign(Role::Sales),
        );

        return CustomerOrder::query()->with('lines.item.unit')->findOrFail($booking->customer_order_id);
    }

    public function cover(CustomerOrder $order, CoverBy $by = CoverBy::StockThenOrder, bool $withParts = false): Booking
    {
        return app(CoverLines::class)->handle(
            array_values($order->lines->pluck('id')->all()),
            $by,
            null,
            $withParts,
            $this->sign(Role::Sales),
        );
    }

    public function order(string $item, string $quantity, ?string $due = '2026-12-10'): Order
    {
        $booking = app(MakeOrder::class)
            ->handle($this->item($item)->id, new TypedQuantity($quantity), $due, false, $this->sign(Role::Planner));

        return Order::query()->with('steps', 'components.item')->findOrFail($booking->order_id);
    }

    /** Makes an order give all of it to a component of another before anybody else. */
    public function madeFor(Order $order, Order $parent): void
    {
        $tie = DB::table('ties')->insertGetId([
            'item_id' => $order->item_id,
            'demand_kind' => 'component',
            'demand_id' => $parent->components()->where('item_id', $order->item_id)->min('id'),
            'supply_kind' => 'output',
            'supply_id' => $order->output()->id,
            'is_hard' => false,
            'quantity' => $order->quantity,
        ]);
        DB::table('tie_entries')->insert([
            'booking_id' => DB::table('bookings')->max('id'),
            'tie_id' => $tie,
            'quantity' => $order->quantity,
        ]);
    }

    /** What an order still covers of customer lines. */
    public function covers(Order $order): string
    {
        return (string) $order->refresh()->promised();
    }

    public function release(Order $order, ?string $short = 'test'): Booking
    {
        return app(ReleaseOrders::class)->handle([$order->id], $short, $this->sign(Role::Supervisor));
    }

    public function issueAll(Order $order): Booking
    {
        $lines = $order
            ->components()
            ->get()
            ->filter(fn (OrderComponent $component): bool => $component->openQuantity()->isPositive())
            ->map(
                fn (OrderComponent $component): UseLine => UseLine::planned(
                    $component,
                    (string) $component->openQuantity(),
                ),
            );

        return app(IssueComponents::class)->handle(
            array_values($lines->all()),
            false,
            $this->sign(Role::Storekeeper),
        );
    }

    /** @param  array<string, string>  $lots quantity by lot; none = by the item's rule */
    public function issue(
        OrderComponent $component,
        string $quantity,
        array $lots = [],
        string $reason = '',
        bool $overPlan = false,
    ): Booking {
        return app(IssueComponents::class)->handle(
            [UseLine::planned($component, $quantity, $lots)],
            $overPlan,
            $this->sign(Role::Storekeeper, $reason),
        );
    }

    public function component(Order $order, string $item): OrderComponent
    {
        return $order->components()->whereRelation('item', 'number', $item)->firstOrFail();
    }

    /** @param  array<string, mixed>  $over */
    public function report(
        OrderStep $step,
        string $good,
        string $passOn = '0',
        string $scrap = '0',
        array $over = [],
    ): Booking {
        if ($step->isOutside()) {
            return $this->back($step, $good, $passOn, $scrap, $over['reason'] ?? 'spoiled');
        }

        return app(ReportStep::class)->handle(
            $step->id,
            [
                'good' => $good,
                'scrap' => $scrap,
                'pass_on' => $passOn,
                'minutes' => 30,
                'reason' => $scrap === '0' ? '' : 'scratched',
                ...$over,
            ],
            $this->sign(Role::Operator),
        );
    }

    /** Pieces come back from the supplier of a step; what waits to go there goes first. */
    public function back(
        OrderStep $step,
        string $good,
        string $passOn = '0',
        string $spoiled = '0',
        string $reason = 'spoiled',
        Whose $whose = Whose::Ours,
    ): Booking {
        $this->sendAll($step);

        return app(ComesBack::class)->handle(
            $step->id,
            new TypedBack($good, $passOn, $spoiled, reason: $spoiled === '0' ? '' : $reason, whose: $whose),
            $this->sign(Role::Storekeeper),
        );
    }

    /** All that waits at a step goes to its supplier; null = nothing waits. */
    public function sendAll(OrderStep $step): ?Booking
    {
        $here = $step->refresh()->pieces()->toDo()->minus(Away::pieces($step->id));

        return $here->isZero() ? null : $this->sendOut($step, (string) $here);
    }

    /** The work of steps is ordered and sent; gives the purchase order, of one supplier. */
    public function orderWork(OrderStep ...$steps): PurchaseOrder
    {
        $ids = array_values(array_map(fn (OrderStep $step): int => $step->id, $steps));
        $booking = app(OrderWork::class)->handle($ids, $this->sign(Role::Buyer));
        $order = PurchaseOrder::query()->findOrFail($booking->purchase_order_id);
        app(SendPurchase::class)->handle(
            $order->id,
            $order->version,
            new TypedSending(null, ''),
            $this->sign(Role::Buyer),
        );

        return $order->refresh();
    }

    /** A part of ours of which something is made that is bought: two of it for one. */
    public function goesAlong(PurchaseLine $line, string $item, string $each = '2'): PurchasePart
    {
        app(GoAlong::class)->handle(
            $line->id,
            PurchaseOrder::query()->findOrFail($line->purchase_order_id)->version,
            $this->item($item)->id,
            $each,
            $this->sign(Role::Buyer),
        );

        return PurchasePart::query()->where('purchase_line_id', $line->id)->latest('id')->firstOrFail();
    }

    /** So much of it goes out. */
    public function partOut(PurchasePart $part, string $quantity): Booking
    {
        $balance = Balance::query()
            ->where('item_id', $part->item_id)
            ->where('quantity', '>', 0)
            ->whereHas('place', fn ($place) => $place->where('kind', 'store'))
            ->firstOrFail();

        return app(SendOut::class)->handle(
            PurchaseOrder::query()->findOrFail($part->line()->firstOrFail()->purchase_order_id)->supplier_id,
            [],
            '',
            $this->sign(Role::Storekeeper),
            [new TypedPartOut($part->id, $quantity, $balance->id)],
        );
    }

    /** A component of a step done outside, put in by hand, goes along with its pieces. */
    public function along(OrderStep $step, string $item, string $quantity): OrderComponent
    {
        $component = OrderComponent::query()->create([
            'order_id' => $step->order_id,
            'item_id' => $this->item($item)->id,
            'step_number' => $step->number,
            'position' => 900,
            'baseline_quantity' => $quantity,
            'planned_quantity' => $quantity,
        ]);
        $balance = Balance::query()
            ->where('item_id', $component->item_id)
            ->where('quantity', '>', 0)
            ->whereHas('place', fn ($place) => $place->where('kind', 'store'))
            ->firstOrFail();
        app(SendOut::class)->handle(
            (int) $step->supplier_id,
            [],
            '',
            $this->sign(Role::Storekeeper),
            [new TypedComponentOut($component->id, $quantity, $balance->id)],
        );

        return $component->refresh();
    }

    public function sendOut(OrderStep $step, string $pieces, bool $countThrough = false): Booking
    {
        return app(SendOut::class)->handle(
            (int) $step->supplier_id,
            [new TypedSendOut($step->id, $pieces, $countThrough)],
            '',
            $this->sign(Role::Storekeeper),
        );
    }

    /** All pieces through all steps. */
    public function workThrough(Order $order): void
    {
        $steps = $order->steps()->get();
        foreach ($steps as $i => $step) {
            $todo = (string) $step->refresh()->pieces()->toDo();
            $this->report($step, $todo, $i === $steps->count() - 1 ? '0' : $todo);
        }
    }

    /** @param  array<int, TypedOutput>  $beside  what comes back with it, by output */
    public function receive(
        Order $order,
        string $quantity,
        string $codes = '',
        string $place = 'FINISHED',
        array $beside = [],
    ): Booking {
        return app(ReceiveOrder::class)->handle(
            $order->id,
            new TypedReceipt($quantity, $this->place($place)->id, $codes, $beside),
            $this->sign(Role::Storekeeper),
        );
    }

    public function close(Order $order, bool $nothingMore = false): Booking
    {
        return app(CloseOrder::class)->handle($order->id, $this->sign(Role::CostClerk), $nothingMore);
    }

    /** Something to be malformed about: an order at work, a customer line, a purchase, a slip. Gives the order. */
    public function busy(): Order
    {
        $order = $this->order('TRAY-40', '6');
        $this->release($order);
        $this->cover($this->customerOrder(['LID-9' => '4']), CoverBy::Stock);
        app(RaisePurchases::class)->handle(
            [new LineToBuy($this->item('MOT-120')->id, '5')],
            false,
            $this->sign(Role::Buyer, token: 'bought'),
        );
        app(ProposeSlip::class)->handle([$order->id], 'whole', null, $this->sign(Role::Storekeeper));

        return $order;
    }

    /** @param  array<int, string>  $lines quantity by line id */
    public function ship(CustomerOrder $order, array $lines): Booking
    {
        return app(ShipAsBuilt::class)->handle(
            $order->id,
            array_map(fn (string $quantity): array => ['quantity' => $quantity, 'lot' => 0], $lines),
            $this->sign(Role::Storekeeper),
        );
    }

    public function goodsIn(
        string $item,
        string $quantity,
        string $price = '10',
        string $codes = '',
        ?string $unit = null,
        string $place = 'STORES',
    ): Booking {
        $arrival = $this->arrival($item, $quantity, $price, $codes, $unit, $place);

        return app(GoodsIn::class)->handle($arrival, $this->sign(Role::Storekeeper));
    }

    /** What came in, to be booked with a token of one's own. */
    public function arrival(
        string $item,
        string $quantity,
        string $price = '10',
        string $codes = '',
        ?string $unit = null,
        string $place = 'STORES',
        ?int $purchase = null,
        Condition $as = Condition::Free,
    ): Arrival {
        return new Arrival(
            $this->item($item)->id,
            new TypedQuantity($quantity, $unit),
            $price,
            $this->place($place)->id,
            $codes,
            $purchase,
            $as,
        );
    }

    /** Something comes on a purchase line. */
    public function comes(
        PurchaseLine $line,
        string $quantity,
        string $codes = '',
        Condition $as = Condition::Free,
        string $price = '10',
    ): Booking {
        $arrival = $this->arrival($line->item->number, $quantity, $price, $codes, purchase: $line->id, as: $as);

        return app(GoodsIn::class)->handle($arrival, $this->sign(Role::Storekeeper));
    }

    /** One line, sent to a supplier, with nothing in yet. */
    public function purchase(string $number, string $item, string $quantity, string $on): PurchaseLine
    {
        $order = PurchaseOrder::query()->create([
            'number' => $number,
            'supplier_id' => Supplier::query()->orderBy('id')->value('id'),
            'ordered_on' => '2026-11-20',
            'sent_on' => '2026-11-20',
            'state' => PurchaseState::Sent,
        ]);

        return PurchaseLine::query()->create([
            'purchase_order_id' => $order->id,
            'position' => 1,
            'number' => $number,
            'item_id' => $this->item($item)->id,
            'quantity' => $quantity,
            'price' => '80',
            'expected_on' => $on,
        ])->refresh();
    }

    /** A bill for some of a purchase line, put down. */
    public function bill(PurchaseLine $line, string $quantity, string $price): Bill
    {
        $typed = new TypedBill(
            $line->order->supplier_id,
            'R-'.Str::random(8),
            '2026-11-24',
            null,
            null,
            [TypedBillLine::goods('lines', $line->id, $quantity, null, $price)],
        );

        return Bill::query()->findOrFail(
            app(EnterBill::class)->handle([$typed], $this->sign(Role::Buyer))->bill_id,
        );
    }

    /** @return array<int, Holds> what is billed holds, on every line there is */
    public function theirs(): array
    {
        return array_fill_keys(BillLine::query()->pluck('id')->all(), Holds::Theirs);
    }

    public function reverse(Booking $booking, string $reason = 'typing error'): Booking
    {
        return app(ReverseBooking::class)->handle($booking->id, $this->sign(Role::Supervisor, $reason));
    }

    /** Work there is worth nothing, so that what is made costs its material alone. */
    public function worksForNothing(string $centre): void
    {
        DB::table('work_centres')->where('code', $centre)->update([
            'labour_rate' => '0',
            'machine_rate' => '0',
            'overhead_hour' => '0',
            'overhead_percent' => '0',
            'overhead_piece' => '0',
        ]);
    }

    public function place(string $code): Place
    {
        return Place::query()->where('code', $code)->firstOrFail();
    }

    /** @return array{quantity: string, value: int} all stock of an item */
    public function stock(string $item, ?string $lot = null): array
    {
        $of = fn (string $table) => DB::table($table)
            ->where('item_id', $this->item($item)->id)
            ->when(
                $lot !== null,
                fn ($query) => $query->where('lot_id', Lot::query()->where('code', $lot)->firstOrFail()->id),
            );

        return [
            'quantity' => \KeepPace\Core\Quantity\Amount::plain((string) $of('balances')->sum('quantity')),
            'value' => (int) $of('stock_values')->sum('value'),
        ];
    }

    /**
     * Imports files as a folder, as the planner.
     *
     * @param  array<string, string>  $files  content by name
     * @return list<string> problems as people read them; empty when it went in
     */
    public function import(array $files): array
    {
        try {
            $this->inFolder(
                $files,
                fn (string $path) => app(ImportFolder::class)->handle($path, $this->as(Role::Planner)),
            );

            return [];
        } catch (ImportRefused $refused) {
            return array_map(strval(...), $refused->problems);
        }
    }

    /**
     * Does something with files in a folder that is gone afterwards.
     *
     * @template T
     *
     * @param  array<string, string>  $files  content by name
     * @param  callable(string): T  $do  is given the folder
     * @return T
     */
    public function inFolder(array $files, callable $do): mixed
    {
        $path = sys_get_temp_dir().'/keep-pace-import-'.bin2hex(random_bytes(6));
        mkdir($path);
        foreach ($files as $name => $content) {
            file_put_contents("{$path}/{$name}", $content);
        }
        try {
            return $do($path);
        } finally {
            array_map(unlink(...), glob("{$path}/*") ?: []);
            rmdir($path);
        }
    }

    /**
     * Lines of differences pace:verify finds.
     *
     * @return list<string>
     */
    public function differences(): array
    {
        return Checks::differences();
    }

    /**
     * The same where the plan follows beside: one planning first, and nothing may be left unplanned.
     *
     * @return list<string>
     */
    public function differencesWhenPlanned(): array
    {
        app(PlanRound::class)->handle();
        expect(Unplanned::ids())->toBe([]);

        return $this->differences();
    }
}
