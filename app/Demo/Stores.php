<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Bookings\ClosePeriod;
use App\Actions\Cover\CoverBy;
use App\Actions\Cover\CoverLines;
use App\Actions\Demand\EnterCustomerOrder;
use App\Actions\Orders\CureShort;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Orders\SplitOrder;
use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Questions\AnswerQuestion;
use App\Actions\Shop\ReportStep;
use App\Actions\Stock\AddLateCost;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\ChangeCondition;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\GoodsIn;
use App\Actions\Stock\ReserveStock;
use App\Actions\Stock\ScrapStock;
use App\Actions\Usage\CorrectLot;
use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\PickSlip;
use App\Actions\Usage\ProposeSlip;
use App\Actions\Usage\ReturnComponents;
use App\Actions\Usage\SlipTyped;
use App\Models\Balance;
use App\Models\Booking;
use App\Models\Customer;
use App\Models\Item;
use App\Models\Move;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Person;
use App\Models\Place;
use App\Models\Plan;
use App\Models\Purchase;
use App\Models\Question;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\Cure;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\ScrapClass;

/** What goes otherwise than planned with parts in the last weeks of the story, one of each kind. */
final class Stores
{
    private Staff $staff;

    private Tries $tries;

    /** @var array<int, true> */
    private array $done = [];

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->tries = $tries;
    }

    /**
     * Each once, on the first working day that is so near to today.
     *
     * @param  int  $left  days to today
     */
    public function day(int $left): void
    {
        $this->questions($left);
        $deeds = [
            16 => $this->refit(...),
            13 => $this->close(...),
            10 => $this->lateFreight(...),
            9 => $this->scrap(...),
            8 => $this->wrongLot(...),
            7 => $this->split(...),
            6 => $this->backToStores(...),
            3 => $this->condition(...),
        ];
        foreach ($deeds as $from => $deed) {
            if ($left <= $from && ! isset($this->done[$from])) {
                $this->done[$from] = true;
                $this->tries->of($deed);
            }
        }
    }

    /** This morning: slips under way, bearings kept, a purchase hurried, a bin miscounted while a step was counted. */
    public function thisMorning(): void
    {
        $this->tries->of($this->miscount(...));
        $orders = Order::query()
            ->whereIn('state', OrderState::IN_THE_SHOP)
            ->where('is_held', false)
            ->whereHas(
                'components',
                fn ($part) => $part->where('issue_by', 'hand')->whereColumn('used_quantity', '<', 'planned_quantity'),
            )
            ->orderBy('rank')
            ->orderBy('due_on')
            ->limit(5)
            ->pluck('id')
            ->all();
        $this->tries->of(function () use ($orders): void {
            $slip = app(ProposeSlip::class)->handle(
                array_map(intval(...), array_slice($orders, 0, 3)),
                'whole',
                null,
                $this->staff->signs(Role::Storekeeper),
            );
            app(KeepSlip::class)->handle(
                $slip->id,
                $slip->version,
                new SlipTyped([], 'trolley by the laser'),
                $this->staff->in(Role::Storekeeper),
            );
            $first = DB::table('slip_splits AS s')
                ->join('slip_lines AS l', 'l.id', 's.slip_line_id')
                ->where('l.slip_id', $slip->id)
                ->value('s.id');
            $by = $this->staff->in(Role::Storekeeper);
            $first === null ?: app(PickSlip::class)->tick($slip->id, [(int) $first], $by);
        });
        $this->tries->of(function (): void {
            $motor = Item::query()->where('number', 'BRG-25')->firstOrFail();
            $order = Order::query()
                ->where('state', 'firm')
                ->whereHas('components', fn ($part) => $part->where('item_id', $motor->id))
                ->orderByDesc('due_on')
                ->firstOrFail();
            app(ReserveStock::class)->handle(
                $order->id,
                $motor->id,
                '',
                '2',
                $this->staff->signs(Role::Supervisor, 'the customer was promised these by phone'),
            );
        });
        $this->tries->of(function (): void {
            $purchase = Purchase::query()
                ->where('is_open', true)
                ->where('expected_on', '>', CarbonImmutable::now()->addDays(3)->toDateString())
                ->orderBy('expected_on')
                ->firstOrFail();
            app(ChangePurchase::class)->date(
                $purchase->id,
                app(WorkedDays::class)->from(CarbonImmutable::parse($purchase->expected_on)->subDays(2)),
                app(WorkedDays::class)->from(CarbonImmutable::now()->addDays(2)),
                $this->staff->signs(Role::Buyer, 'an order waits for it'),
            );
        });
    }

    /** Questions are answered within two days; the newest still wait. */
    private function questions(int $left): void
    {
        foreach (
            Question::query()
                ->whereNull('answered_at')
                ->where('opened_at', '<', CarbonImmutable::now()->subDays($left > 4 ? 1 : 4))
                ->get() as $question
        ) {
            $this->tries->of(
                fn () => $question->kind === 'short'
                && $left <= 12
                && $left > 4
                && ! Order::query()->whereNotNull('remake_of_id')->exists()
                    ? app(CureShort::class)->handle(
                        (int) $question->order_id,
                        Order::query()->findOrFail($question->order_id)->version,
                        Cure::Remake,
                        Amount::plain($question->open_quantity),
                        $this->staff->signs(Role::Supervisor),
                    )
                    : app(AnswerQuestion::class)->handle(
                        $question->id,
                        $question->kind === 'short' ? 'Accepted.' : 'Taken from the bin at the bench.',
                        $this->staff->signs(Role::Supervisor),
                    ),
            );
        }
    }

    /** A customer's own drum comes in for a new drive. */
    private function refit(): void
    {
        $customer = Customer::query()->where('number', 'K-09')->firstOrFail();
        $ordered = app(EnterCustomerOrder::class)->handle(
            ['customer_id' => $customer->id, 'reference' => 'our drum of 2019', 'ship_to' => ''],
            [
                [
                    'item' => 'REFIT-9',
                    'quantity' => '1',
                    'unit' => null,
                    'promised_on' => app(WorkedDays::class)->from(CarbonImmutable::now()->addDays(30)),
                    'price' => null,
                ],
            ],
            $this->staff->signs(Role::Sales),
        );
        $line = (int) DB::table('customer_order_lines')
            ->where('customer_order_id', $ordered->customer_order_id)
            ->value('id');
        app(CoverLines::class)->handle(
            [$line],
            CoverBy::NewOrder,
            null,
            false,
            $this->staff->signs(Role::Sales),
        );
        app(GoodsIn::class)->handle(
            new Arrival(
                Item::query()->where('number', 'DRUM-9')->firstOrFail()->id,
                new TypedQuantity('1'),
                '0',
                Place::query()->where('code', 'STORES')->firstOrFail()->id,
                'JH-2019',
                owner: $customer->id,
            ),
            $this->staff->signs(Role::Storekeeper),
        );
    }

    private function close(): void
    {
        app(ClosePeriod::class)->handle(
            CarbonImmutable::now()->subMonthNoOverflow()->endOfMonth()->toDateString(),
            $this->staff->signs(Role::CostClerk),
        );
    }

    private function lateFreight(): void
    {
        $in = Booking::query()->where('kind', 'goods_in')->orderByDesc('id')->skip(3)->first();
        if ($in !== null) {
            $this->tries->of(fn () => app(AddLateCost::class)->handle(
                $in->id,
                4850,
                $this->staff->signs(Role::CostClerk, 'freight, billed late'),
            ));
        }
    }

    private function scrap(): void
    {
        $balance = Balance::query()
            ->whereHas('item', fn ($item) => $item->where('number', 'BRG-25'))
            ->where('quantity', '>', 4)
            ->where('condition', 'free')
            ->first();
        if ($balance !== null) {
            $this->tries->of(fn () => app(ScrapStock::class)->handle(
                $balance->id,
                '2',
                ScrapClass::Handling,
                $this->staff->signs(Role::Storekeeper, 'fell off the trolley'),
            ));
        }
    }

    private function wrongLot(): void
    {
        $done = false;
        foreach (
            Move::query()
                ->whereNotNull('component_id')
                ->where('lot_id', '>', 0)
                ->whereNotIn('id', Move::query()->whereNotNull('reverses_id')->select('reverses_id'))
                ->orderByDesc('id')
                ->limit(60)
                ->get() as $move
        ) {
            $other = DB::table('balances AS b')
                ->join('lots AS l', 'l.id', 'b.lot_id')
                ->where('b.item_id', $move->item_id)
                ->where('b.lot_id', '<>', $move->lot_id)
                ->where('b.condition', 'free')
                ->where('b.owner_id', 0)
                ->where('b.quantity', '>=', $move->quantity)
                ->value('l.code');
            if (! $done && is_string($other)) {
                $this->tries->of(function () use ($move, $other, &$done): void {
                    app(CorrectLot::class)->handle(
                        $move->id,
                        $other,
                        null,
                        $this->staff->signs(Role::Storekeeper, 'read off the label on the part'),
                    );
                    $done = true;
                });
            }
        }
    }

    private function split(): void
    {
        $order = Order::query()
            ->where('state', 'firm')
            ->where('quantity', '>=', 6)
            ->whereDoesntHave('covers')
            ->orderByDesc('due_on')
            ->firstOrFail();
        app(SplitOrder::class)->handle(
            $order->id,
            $order->version,
            '3',
            $this->staff->signs(Role::Planner, 'the first three are wanted sooner'),
        );
    }

    /**
     * A bin is counted wrong, an operator's count finds too little there, the bin is counted again: the question stays
     * for a person.
     */
    private function miscount(): void
    {
        $first = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('order_steps AS s', fn ($join) => $join->on('s.order_id', 'o.id')->on('s.number', 'c.step_number'))
            ->join('plan_orders AS p', 'p.order_id', 'o.id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('c.issue_by', 'backflush')
            ->where('o.state', 'firm')
            ->where('o.is_held', false)
            ->where('p.readiness', '<>', 'stuck')
            ->whereRaw('s.number = (SELECT MIN(n.number) FROM order_steps n WHERE n.order_id = o.id)')
            ->orderBy('p.place_in_rank')
            ->value('c.id');
        $component = OrderComponent::query()->findOrFail((int) $first);
        app(ReleaseOrders::class)->handle(
            [$component->order_id],
            'the drums come this afternoon',
            $this->staff->signs(Role::Supervisor),
        );
        $balance = Balance::query()
            ->where('item_id', $component->item_id)
            ->where('quantity', '>', 1)
            ->where('condition', 'free')
            ->firstOrFail();
        $before = Amount::plain($balance->quantity);
        $step = OrderStep::query()
            ->where('order_id', $component->order_id)
            ->where('number', $component->step_number)
            ->firstOrFail();
        app(CountBalance::class)->handle(
            $balance->id,
            '1',
            $this->staff->signs(Role::Storekeeper, 'counted the wrong bin'),
        );
        app(ReportStep::class)->handle(
            $step->id,
            ['good' => '1', 'scrap' => '0', 'pass_on' => '0', 'minutes' => 35, 'reason' => ''],
            $this->staff->signs(Role::Operator),
        );
        app(CountBalance::class)->handle(
            $balance->id,
            $before,
            $this->staff->signs(Role::Storekeeper, 'the right bin this time'),
        );
    }

    private function condition(): void
    {
        foreach (
            [
                ['BOARD-3', Condition::InInspection, 'one failed at the bench'],
                ['SS-20', Condition::Blocked, 'scratched by the strap'],
                ['GREASE-4', Condition::Blocked, 'cartridge leaks'],
            ] as [$number, $to, $why]
        ) {
            $balance = Balance::query()
                ->whereHas('item', fn ($item) => $item->where('number', $number))
                ->where('quantity', '>', 1)
                ->where('condition', 'free')
                ->orderByDesc('lot_id')
                ->first();
            if ($balance !== null) {
                $this->tries->of(fn () => app(ChangeCondition::class)->handle(
                    $balance->id,
                    '1',
                    $to,
                    $this->staff->signs(Role::Storekeeper, $why),
                ));
            }
        }
    }

    /** An extra part was taken along and comes back. */
    private function backToStores(): void
    {
        foreach (Order::query()->where('state', 'running')->orderByDesc('id')->limit(12)->get() as $order) {
            $key = array_key_first(ReturnComponents::used($order->id));
            if ($key !== null) {
                $this->tries->of(fn () => app(ReturnComponents::class)->handle(
                    $order->id,
                    [$key => '1'],
                    Place::query()->where('code', 'STORES')->firstOrFail()->id,
                    Condition::Free,
                    $this->staff->signs(Role::Storekeeper, 'taken along by mistake'),
                ));

                return;
            }
        }
    }
}
