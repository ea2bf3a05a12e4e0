<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Orders\CloseOrder;
use App\Actions\Orders\MakeOrder;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Schedule\LoadByRank;
use App\Models\Customer;
use App\Models\CustomerOrder;
use App\Models\Order;
use App\Queries\Demand\CustomerOrderList;
use App\Queries\Questions\ArrivalList;
use App\Reading\Row;
use App\Shop\Deliveries;
use App\Shop\OpenOrder;
use App\Shop\ShopState;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;

/** What sales desk, planner, buyer and supervisor do in the story. */
final class Office
{
    private Staff $staff;

    private Dice $dice;

    private Tries $tries;

    private bool $bigOneCame = false;

    private bool $oneHeld = false;

    /** Lots the shelf is filled up in. */
    private const LOTS = [
        'DRUM-20' => 4,
        'DRUM-9' => 6,
        'LID-20' => 8,
        'LID-9' => 10,
        'CAGE-20' => 4,
        'CAGE-9' => 6,
        'SHAFT-L' => 8,
        'SHAFT-S' => 10,
        'GEAR-48' => 30,
        'STAND-3' => 8,
        'GBOX-1' => 6,
        'CTRL-3' => 8,
    ];

    private const BUY = [
        'SS-15' => 50,
        'SS-20' => 25,
        'BAR-25' => 60,
        'BAR-40' => 18,
        'ROD-8' => 480,
        'TUBE-30' => 120,
        'CAST-48' => 60,
        'BRG-25' => 60,
        'MOT-120' => 12,
        'GATE-40' => 40,
        'CRANK-1' => 12,
        'BOARD-3' => 20,
        'HOUSE-3' => 20,
        'CABLE-3' => 100,
        'FOOT-1' => 192,
        'BOLT-8' => 80,
        'SEAL-D' => 60,
        'GREASE-4' => 24,
    ];

    public function __construct(
        private readonly EnterCustomerOrder $enter,
        private readonly CoverLines $cover,
        private readonly MakeOrder $make,
        private readonly ReleaseOrders $releaseOrders,
        private readonly ChangeOrder $change,
        private readonly CloseOrder $closeOrder,
        private readonly LoadByRank $loadByRank,
        private readonly ChangePurchase $changePurchase,
        private readonly WorkedDays $days,
    ) {
    }

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->dice = $dice;
        $this->tries = $tries;
    }

    /** Customer orders come in, more of them towards the end; the last ones are not covered yet. */
    public function demand(CarbonImmutable $day, int $left): void
    {
        $orders = $left > 30 ? ($this->dice->chance(14) ? 1 : 0) : 1;
        for ($i = 0; $i < $orders; $i++) {
            $customer = Customer::query()
                ->where('number', '<>', '')
                ->orderBy('number')
                ->offset($this->dice->between(0, 9))
                ->firstOrFail();
            // one of the last days' asks for more motors than anybody has ordered
            $big = $left <= 6 && ! $this->bigOneCame;
            $this->bigOneCame = $this->bigOneCame || $big;
            $lines = $big ? [self::asked('EX-9E', 6, $this->days->from($day->addDays(30)))] : [];
            for ($n = $this->dice->pick([1, 2, 2]); $n > 0; $n--) {
                $lines[] = self::asked(
                    $this->dice->pick(['EX-20E', 'EX-20E', 'EX-9E', 'EX-9E', 'EX-9H', 'EX-9H', 'TANK-50', 'TRAY-40']),
                    $this->dice->pick([1, 1, 2, 2, 3, 4, 6]),
                    $this->days->from($day->addDays($this->dice->between(17, 40))),
                );
            }
            $this->tries->of(fn () => $this->enter(
                $customer->id,
                $lines,
                $big || ($left > 1 && ! ($left < 6 && $this->dice->chance(35))),
                $left < 12 && ! $big,
            ));
        }
    }

    /** @return array{item: string, quantity: string, unit: null, price: null, promised_on: string} */
    private static function asked(string $item, int $quantity, string $on): array
    {
        $any = ['unit' => null, 'price' => null];

        return ['item' => $item, 'quantity' => (string) $quantity, ...$any, 'promised_on' => $on];
    }

    /**
     * @param  list<array{item: string, quantity: string, unit: null, price: null, promised_on: string}>  $lines
     * @param  bool  $covered  at once; else it waits
     */
    private function enter(int $customer, array $lines, bool $covered, bool $withParts): void
    {
        $head = ['customer_id' => $customer, 'reference' => 'PO '.$this->dice->between(1000, 9999), 'ship_to' => ''];
        $booking = $this->enter->handle($head, $lines, $this->staff->signs(Role::Sales));
        if ($covered) {
            $order = CustomerOrder::query()->with('lines')->findOrFail((int) $booking->customer_order_id);
            $this->cover->handle(
                array_values($order->lines->pluck('id')->all()),
                CoverBy::StockThenOrder,
                null,
                $withParts,
                $this->staff->signs(Role::Sales),
            );
        }
    }

    /**
     * Lines that scrap or a late change left open are covered again at the end of the week; the last ones still wait.
     */
    public function coverAgain(CarbonImmutable $day, int $left): void
    {
        if (! $day->isFriday() || $left < 5) {
            return;
        }
        foreach (CustomerOrderList::lines('uncovered')->groupBy('customerOrderId') as $lines) {
            $this->tries->of(fn () => $this->cover->handle(
                array_values($lines->pluck('id')->map(intval(...))->all()),
                CoverBy::StockThenOrder,
                null,
                false, $this->staff->signs(Role::Sales),
            ));
        }
    }

    /**
     * The planner fills the shelf up below the reorder point; near the end the buyer has fallen behind.
     *
     * @return list<LineToBuy> what is bought for it
     */
    public function shelf(int $left): array
    {
        $buy = [];
        foreach (self::shelfLevels() as $item) {
            if ($item->decimal('quantity')->isGreaterThan($item->decimal('reorder_point'))) {
                continue;
            }
            $number = $item->text('number');
            if (isset(self::LOTS[$number])) {
                $this->tries->of(
                    fn () => $this->make->handle(
                        $item->int('id'),
                        new TypedQuantity((string) self::LOTS[$number]),
                        $this->days->from(CarbonImmutable::now()->addDays(22)),
                        false,
                        $this->staff->signs(Role::Planner),
                    ),
                );
            } elseif (
                isset(self::BUY[$number])
                && ! ($left < 16 && in_array($number, ['MOT-120', 'CRANK-1', 'BOARD-3'], true))
            ) {
                $buy[] = new LineToBuy(
                    $item->int('id'),
                    (string) self::BUY[$number],
                    null,
                    (string) $item->decimal('cost')
                        ->multipliedBy($this->dice->between(96, 106))
                        ->dividedBy(100, 4),
                );
            }
        }

        return $buy;
    }

    /** @return Collection<int, Row> items with what is there and to come, less what orders still need */
    private static function shelfLevels(): Collection
    {
        $levels = DB::table('items AS i')->leftJoin('balances AS b', 'b.item_id', 'i.id')
            ->groupBy('i.id', 'i.number', 'i.reorder_point', 'i.cost')
            ->selectRaw(
                "i.id, i.number, i.reorder_point, i.cost,
                COALESCE(SUM(b.quantity), 0)
                + (SELECT COALESCE(SUM(p.quantity - p.received_quantity - p.cancelled_quantity), 0)
                    FROM purchase_lines p WHERE p.item_id = i.id AND p.is_open)
                + (SELECT COALESCE(SUM(u.planned_quantity - u.received_quantity), 0)
                    FROM order_outputs u JOIN orders o ON o.id = u.order_id
                    WHERE u.item_id = i.id AND o.state IN ('firm', 'released', 'running'))
                - (SELECT COALESCE(SUM(GREATEST(c.planned_quantity - c.used_quantity, 0)), 0)
                    FROM order_components c JOIN orders o ON o.id = c.order_id
                    WHERE c.item_id = i.id AND o.state IN ('firm', 'released', 'running')) AS quantity",
            )
            ->orderBy('i.id');

        return Row::all($levels, fn (Row $row): Row => $row);
    }

    /** What is overdue is asked for at the supplier; the last days' still waits for an answer. */
    public function arrivals(int $left): void
    {
        foreach ($left < 4 ? [] : ArrivalList::asked(Deliveries::now()) as $question) {
            if ($question->kind === 'purchase' && $this->dice->chance(60)) {
                $on = $this->days->from(CarbonImmutable::now()->addDays($this->dice->between(1, 3)));
                $this->tries->of(fn () => $this->changePurchase->date(
                    $question->id,
                    $on,
                    null,
                    $this->staff->signs(Role::Buyer, 'said on the telephone'),
                ));
            }
        }
    }

    /** The supervisor releases what has its parts; now and then one short, with a reason. */
    public function release(int $left): void
    {
        $shop = ShopState::now();
        $inShop = $shop->orders->filter(fn (OpenOrder $order): bool => $order->state !== OrderState::Firm)->count();
        foreach ($shop->orders as $order) {
            $soon = $order->dueOn === null || CarbonImmutable::parse($order->dueOn)->subDays(27)->isPast();
            if (
                $order->state !== OrderState::Firm
                || ! $soon
                || $inShop >= 28
                || $order->isHeld
                || ($left < 2 && $this->dice->chance(75))
            ) {
                continue;
            }
            $short = $shop->shortParts($order->id) !== [];
            if ($left <= 6 && $inShop > 10 && ! $this->oneHeld && $this->dice->chance(10)) {
                $this->oneHeld = true;
                $this->tries->of(fn () => $this->hold($order->id));

                continue;
            }
            if (! $short || $this->dice->chance(8)) {
                $this->tries->of(
                    fn () => $this->releaseOrders->handle(
                        [$order->id],
                        $short ? 'parts promised for the end of the week' : null,
                        $this->staff->signs(Role::Supervisor),
                    ),
                );
                $inShop++;
            }
        }
    }

    private function hold(int $id): void
    {
        $order = Order::query()->findOrFail($id);
        $this->change->head(
            $order->id,
            $order->version,
            [
                'quantity' => Amount::plain($order->quantity),
                'due_on' => $order->due_on,
                'rank' => $order->rank,
                'is_held' => true,
            ],
            $this->staff->signs(Role::Supervisor),
        );
    }

    /** The supervisor begins the day with a plan by rank. */
    public function plan(): void
    {
        $this->tries->of(fn () => $this->loadByRank->handle($this->staff->signs(Role::Supervisor)));
    }

    /** The cost clerk closes built orders; the newest are still waiting for her. */
    public function close(int $left): void
    {
        foreach (Order::query()->where('state', 'built')->orderBy('id')->get() as $order) {
            if ($left > 3 || $this->dice->chance(40)) {
                $this->tries->of(fn () => $this->closeOrder->handle(
                    $order->id,
                    $this->staff->signs(Role::CostClerk),
                ));
            }
        }
    }
}
