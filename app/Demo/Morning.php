<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Orders\ReleaseOrders;
use App\Actions\Product\BeginDraft;
use App\Actions\Product\KeepRouting;
use App\Actions\Product\TypedStep;
use App\Actions\Purchasing\AnswerPurchase;
use App\Actions\Purchasing\ChangePurchase;
use App\Actions\Purchasing\LineToBuy;
use App\Actions\Purchasing\RaisePurchases;
use App\Actions\Purchasing\TypedLine;
use App\Actions\Shop\ReportStep;
use App\Actions\Stock\CountBalance;
use App\Actions\Stock\ReserveStock;
use App\Actions\Usage\KeepSlip;
use App\Actions\Usage\PickSlip;
use App\Actions\Usage\ProposeSlip;
use App\Actions\Usage\SlipTyped;
use App\Models\Balance;
use App\Models\Item;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\PurchaseLine;
use App\Models\PurchaseOrder;
use App\Models\RevisionKind;
use App\Models\Routing;
use App\Models\RoutingStep;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Purchasing\PurchaseState;
use KeepPace\Core\Quantity\Amount;

/**
 * This morning in the story: a bin miscounted while a step was counted, a slip under way, bearings kept, a purchase
 * hurried, a run time being corrected.
 */
final class Morning
{
    private Staff $staff;

    public function play(Staff $staff, Tries $tries): void
    {
        $this->staff = $staff;
        $deeds = [
            $this->miscount(...), $this->slip(...), $this->keep(...),
            $this->hurry(...), $this->draft(...), $this->buys(...),
            (new Dock($staff))->spares(...), (new Dock($staff))->more(...), (new Pins($staff))->play(...),
            (new Sets($staff))->play(...),
        ];
        foreach ($deeds as $deed) {
            $tries->of($deed);
        }
    }

    private function slip(): void
    {
        $orders = Order::query()
            ->whereIn('state', OrderState::IN_THE_SHOP)
            ->where('is_held', false)
            ->whereHas(
                'components',
                fn ($part) => $part->where('issue_by', 'hand')->whereColumn('used_quantity', '<', 'planned_quantity'),
            )
            ->orderBy('rank')
            ->orderBy('due_on')
            ->orderBy('id')
            ->limit(3)
            ->pluck('id')
            ->all();
        $slip = app(ProposeSlip::class)->handle(
            array_values($orders),
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
    }

    /** The planner has timed a step: the draft waits for a supervisor. */
    private function draft(): void
    {
        $item = Item::query()->where('number', 'EX-9H')->firstOrFail();
        $from = Routing::query()->where('item_id', $item->id)->where('status', 'approved')->value('id');
        app(BeginDraft::class)->handle(
            $item->id,
            RevisionKind::Routing,
            is_numeric($from) ? (int) $from : null,
            $this->staff->signs(Role::Planner),
        );
        $draft = Routing::query()->where('item_id', $item->id)->where('status', 'draft')->firstOrFail();
        $steps = $draft->steps()->get()->map(fn (RoutingStep $step): TypedStep => new TypedStep(
            $step->id,
            $step->number,
            $step->name,
            $step->work_centre_id,
            null,
            $step->setup_minutes,
            rate: $step->number === 20 ? '26' : $step->run_rate,
            move: $step->move_minutes,
        ));
        app(KeepRouting::class)->handle(
            $draft->id,
            (int) $draft->version,
            'hanging the basket was timed: 26 minutes, not 30',
            $steps->all(),
            $this->staff->signs(Role::Planner),
        );
    }

    private function keep(): void
    {
        $bearing = Item::query()->where('number', 'BRG-25')->firstOrFail();
        $order = Order::query()
            ->where('state', 'firm')
            ->whereHas('components', fn ($part) => $part->where('item_id', $bearing->id))
            ->orderByDesc('due_on')
            ->firstOrFail();
        app(ReserveStock::class)->handle(
            $order->id,
            $bearing->id,
            '',
            '2',
            $this->staff->signs(Role::Supervisor, 'the customer was promised these by phone'),
        );
    }

    /** One supplier asks for more than was agreed and brings less; one draft waits to be sent. */
    private function buys(): void
    {
        $sent = PurchaseOrder::query()
            ->whereIn('state', [PurchaseState::Sent, PurchaseState::Confirmed])
            ->orderByDesc('id')
            ->firstOrFail();
        $line = $sent->lines()->firstOrFail();
        $less = $line->wanted()->dividedBy(2, 0, RoundingMode::UP);
        app(AnswerPurchase::class)->handle(
            $sent->id,
            $sent->version,
            [$line->id => new TypedLine(
                (string) $line->asTyped($less),
                (string) BigDecimal::of($line->price)->multipliedBy('1.06')->toScale(4, RoundingMode::HALF_UP),
                max($line->expected_on, app(WorkedDays::class)->from(CarbonImmutable::now()->addDays(3))),
            )],
            'SA-2208',
            $this->staff->signs(Role::Buyer),
        );
        $lines = array_map(
            fn (string $item): LineToBuy => new LineToBuy(
                (int) Item::query()->where('number', $item)->value('id'),
                '24',
            ),
            ['SEAL-D', 'GREASE-4'],
        );
        app(RaisePurchases::class)->handle($lines, false, $this->staff->signs(Role::Buyer), true);
    }

    private function hurry(): void
    {
        $purchase = PurchaseLine::query()
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
    }

    /**
     * A bin is counted wrong, an operator's count finds too little there, the bin is counted again: the question stays
     * for a person.
     */
    private function miscount(): void
    {
        $component = $this->usedByItself();
        app(ReleaseOrders::class)->handle(
            [$component->order_id],
            'the drums come this afternoon',
            $this->staff->signs(Role::Supervisor),
        );
        $balance = Balance::query()
            ->where('item_id', $component->item_id)
            ->where('quantity', '>', 1)
            ->where('condition', 'free')
            ->orderBy('id')
            ->firstOrFail();
        $before = Amount::plain($balance->quantity);
        $step = OrderStep::query()
            ->where('order_id', $component->order_id)
            ->where('number', $component->step_number)
            ->firstOrFail();
        $this->count($balance->id, '1', 'counted the wrong bin');
        app(ReportStep::class)->handle(
            $step->id,
            ['good' => '1', 'scrap' => '0', 'pass_on' => '0', 'minutes' => 35, 'reason' => ''],
            $this->staff->signs(Role::Operator),
        );
        $this->count($balance->id, $before, 'the right bin this time');
    }

    private function count(int $balance, string $counted, string $why): void
    {
        app(CountBalance::class)->handle($balance, $counted, $this->staff->signs(Role::Storekeeper, $why));
    }

    /** Of the first order that could go: what is used when its first step is counted. */
    private function usedByItself(): OrderComponent
    {
        $first = DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('order_steps AS s', fn (JoinClause $join) => $join
                ->on('s.order_id', 'o.id')
                ->on('s.number', 'c.step_number'))
            ->join('plan_orders AS p', 'p.order_id', 'o.id')
            ->where('p.plan_id', Plan::LIVE)
            ->where('c.issue_by', 'backflush')
            ->where('o.state', 'firm')
            ->where('o.is_held', false)
            ->where('p.readiness', '<>', 'stuck')
            ->whereRaw('s.number = (SELECT MIN(n.number) FROM order_steps n WHERE n.order_id = o.id)')
            ->orderBy('p.place_in_rank')
            ->value('c.id');

        return OrderComponent::query()->findOrFail((int) $first);
    }
}
