<?php

namespace App\Demo;

use App\Access\Role;
use App\Actions\Builds\ShipAsBuilt;
use App\Actions\Orders\ReceiveOrder;
use App\Actions\Orders\TypedReceipt;
use App\Actions\Shop\ReportStep;
use App\Actions\Shop\StartStep;
use App\Actions\Stock\Arrival;
use App\Actions\Stock\GoodsIn;
use App\Actions\Usage\IssueComponents;
use App\Actions\Usage\UseLine;
use App\Models\Order;
use App\Models\OrderComponent;
use App\Models\OrderStep;
use App\Models\Place;
use App\Models\PurchaseLine;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Ties;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Quantity\Amount;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Stock\Condition;
use KeepPace\Core\Stock\Tracking;

/** What storekeeper and operators do in the story. */
final class Floor
{
    private Staff $staff;

    private Dice $dice;

    private Tries $tries;

    private int $lots = 100;

    public function __construct(private readonly GoodsIn $goodsIn, private readonly IssueComponents $issueComponents,
        private readonly StartStep $start,
        private readonly ReportStep $report,
        private readonly OutsideWork $outside,
        private readonly ReceiveOrder $receive,
        private readonly ShipAsBuilt $ship,
    ) {
    }

    public function begin(Staff $staff, Dice $dice, Tries $tries): void
    {
        $this->staff = $staff;
        $this->dice = $dice;
        $this->tries = $tries;
        $this->outside->begin($staff, $dice, $tries);
    }

    /** Purchases come in on their day, some a few days late; the last days' castings have not come. */
    public function goodsIn(int $left): void
    {
        $places = Place::query()->pluck('id', 'code');
        foreach (
            PurchaseLine::query()
                ->with('item')
                ->where('is_open', true)
                ->whereNull('order_step_id')
                ->where('expected_on', '<=', CarbonImmutable::now()->toDateString())
                ->orderBy('id')
                ->get() as $purchase
        ) {
            if (
                $this->dice->chance(18)
                || ($left < 8 && in_array($purchase->item->number, ['CAST-48', 'GATE-40'], true))
            ) {
                continue;
            }
            $this->tries->of(fn () => $this->bookIn($purchase, $places, $left));
        }
    }

    /** @param  Collection<string, int>  $places  ids by code */
    private function bookIn(PurchaseLine $purchase, Collection $places, int $left): void
    {
        $rack = in_array(substr($purchase->item->number, 0, 3), ['SS-', 'BAR', 'ROD', 'TUB'], true);
        $lot = $purchase->item->isTracked() ? ($rack ? 'H-' : 'N-').(8000 + ++$this->lots) : '';
        $this->goodsIn->handle(
            new Arrival(
                $purchase->item_id,
                new TypedQuantity(Amount::plain($purchase->quantity)),
                Amount::plain($purchase->price),
                $places[$rack ? 'RACK' : 'STORES'],
                $lot,
                $purchase->id,
                expiresOn: $purchase->item->number === 'GREASE-4' ? $this->greaseExpires($left) : null,
            ),
            $this->staff->signs(Role::Storekeeper),
        );
    }

    /** Last year's grease is nearly over. */
    private function greaseExpires(int $left): string
    {
        return CarbonImmutable::now()->addDays($left < 60 ? 70 : 500)->toDateString();
    }

    /** The storekeeper issues to released orders what is there; some of the last day's still wait. */
    public function issue(int $left): void
    {
        foreach (
            Order::query()
                ->whereIn('state', OrderState::IN_THE_SHOP)
                ->where('is_held', false)
                ->orderBy('rank')
                ->orderBy('due_on')
                ->orderBy('id')
                ->get() as $order
        ) {
            if ($left <= 3 && $order->released_at?->diffInDays(CarbonImmutable::now()) < 4 && $this->dice->chance(80)) {
                continue;
            }
            $lines = [];
            foreach (
                OrderComponent::query()
                    ->where('order_id', $order->id)
                    ->whereColumn('used_quantity', '<', 'planned_quantity')
                    ->orderBy('id')
                    ->get() as $component
            ) {
                $free = $this->free($component);
                $take = $component->openQuantity()->isGreaterThan($free) ? $free : $component->openQuantity();
                if ($take->isPositive() && ! isset($lines[$component->item_id]) && $component->issue_by === 'hand') {
                    $lines[$component->item_id] = UseLine::planned($component, Amount::plain((string) $take));
                }
            }
            if ($lines !== []) {
                $this->tries->of(
                    fn () => $this->issueComponents->handle(
                        array_values($lines),
                        false,
                        $this->staff->signs(Role::Storekeeper),
                    ),
                );
            }
        }
    }

    /**
     * What the storekeeper finds on the shelf for an order: free, our own, neither promised to a customer nor kept
     * for another order.
     */
    private function free(OrderComponent $component): BigDecimal
    {
        $there = DB::table('balances AS b')
            ->join('places AS p', 'p.id', 'b.place_id')
            ->where('p.kind', 'store')
            ->where('b.owner_id', 0)
            ->where('b.item_id', $component->item_id)->where('b.condition', Condition::Free->value)->sum('b.quantity');
        $kept = Ties::kept()
            ->where('want.item_id', $component->item_id)
            ->where('want.order_id', '<>', $component->order_id);

        return BigDecimal::of((string) $there)
            ->minus(Row::sum(Ties::fromStock()->where('t.item_id', $component->item_id), 't.quantity'))
            ->minus(Row::sum($kept, 't.quantity'));
    }

    /**
     * Operators count what the plan says is done by now, start what it says is running, and hand on; last steps are
     * received.
     */
    public function work(int $left): void
    {
        $now = CarbonImmutable::now()->utc()->toDateTimeString();
        foreach ($this->planned($now) as $row) {
            $step = OrderStep::query()->with('order')->findOrFail($row['order_step_id']);
            if (! $step->order->state->isInTheShop() || $step->order->is_held || $step->pieces()->toDo()
                ->isZero() || ! $this->partsAreThere($step)) {
                continue;
            }
            $outside = $step->isOutside();
            $back = $outside && $this->outside->isDueBack($step, $left);
            if ($outside ? $back : $row['end_at'] <= $now) {
                $this->tries->of(fn () => $this->count($step, $left));
            } elseif (! $outside && $row['start_at'] <= $now && $step->started_at === null) {
                $this->tries->of(fn () => $this->start->handle(
                    $step->id,
                    $this->staff->signs(Role::Operator),
                ));
            }
        }
        $this->outside->sendOut($left);
        $this->receiveAll($left);
    }

    /**
     * Steps that may be at work or away.
     *
     * @return Collection<int, array{order_step_id: int, start_at: string, end_at: string}> those that end first before
     */
    private function planned(string $now): Collection
    {
        return DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)->where('o.is_held', false)
            ->where(fn ($due) => $due->where('p.start_at', '<=', $now)->orWhereNotNull('s.supplier_id'))
            ->orderBy('p.end_at')
            ->orderBy('p.order_step_id')
            ->get(['p.order_step_id', 'p.start_at', 'p.end_at'])
            ->map(fn (object $row): array => [
                'order_step_id' => (int) $row->order_step_id,
                'start_at' => (string) $row->start_at,
                'end_at' => (string) $row->end_at,
            ]);
    }

    /**
     * The storekeeper ships what is covered by stock and promised within two days; of the last days' some is still on
     * the dock.
     */
    public function ship(int $left): void
    {
        $ready = Ties::fromStock()
            ->join('customer_order_lines AS l', 'l.id', 't.line_id')
            ->where('l.promised_on', '<=', CarbonImmutable::now()->addDays(2)->toDateString())
            ->orderBy('t.id')
            ->select(['t.line_id', 't.quantity', 'l.customer_order_id']);
        $covers = Row::all($ready, fn (Row $row): Row => $row)
            ->groupBy(fn (Row $row): int => $row->int('customer_order_id'));
        foreach ($covers as $order => $of) {
            if ($left > 3 || $this->dice->chance(40)) {
                $lines = $of->mapWithKeys(fn (Row $cover): array => [$cover->int('line_id') => [
                    'quantity' => Amount::plain($cover->decimal('quantity')),
                    'lot' => 0,
                ]]);
                $this->tries->of(fn () => $this->ship->handle(
                    (int) $order,
                    $lines->all(),
                    $this->staff->signs(Role::Storekeeper),
                ));
            }
        }
    }

    private function count(OrderStep $step, int $left): void
    {
        $todo = $step->isOutside() ? Away::pieces($step->id) : $step->pieces()->toDo();
        $part = $left < 3 && $todo->isGreaterThan(2) && $this->dice->chance(60)
                ? $todo->dividedBy(2, 0, \Brick\Math\RoundingMode::DOWN)
                : $todo;
        $scrap =
            $part->isGreaterThan(3) && $this->dice->chance($left < 20 ? 7 : 3)
                ? BigDecimal::one()
                : BigDecimal::zero();
        $good = $part->minus($scrap);
        $last = ! OrderStep::query()->where('order_id', $step->order_id)->where('number', '>', $step->number)->exists();
        $planned = $step->time()->minutes($part);
        $reason = $scrap->isZero() ? '' : $this->dice->pick(['burnt through', 'undersize', 'scratched', 'weld pore']);
        $passOn = $last ? '0' : Amount::plain($good);
        if ($step->isOutside()) {
            $this->outside->cameBack($step, Amount::plain($good), $passOn, Amount::plain($scrap), $reason);

            return;
        }
        $this->report->handle(
            $step->id,
            [
                'good' => Amount::plain($good),
                'scrap' => Amount::plain($scrap),
                'pass_on' => $passOn,
                'minutes' => max(1, intdiv($planned * $this->dice->between(88, 121), 100)),
                'reason' => $reason,
            ],
            $this->staff->signs(Role::Operator),
        );
    }

    private function partsAreThere(OrderStep $step): bool
    {
        return ! OrderComponent::query()
            ->where('order_id', $step->order_id)
            ->where('step_number', '<=', $step->number)
            ->where('issue_by', 'hand')
            ->whereColumn('used_quantity', '<', 'planned_quantity')
            ->exists();
    }

    /** Good pieces go into stores; some of the last day's still stand at their last step. */
    private function receiveAll(int $left): void
    {
        $places = Place::query()->pluck('id', 'code');
        $open = Order::query()->with('item')->whereIn('state', OrderState::IN_THE_SHOP)->orderBy('id')->get();
        foreach ($open as $order) {
            $last = OrderStep::query()->where('order_id', $order->id)->orderByDesc('number')->first();
            if ($last !== null && $last->pieces()->inHand()
                ->isPositive() && ! $order->is_held && ! ($left <= 3 && $this->dice->chance(75))) {
                $this->tries->of(fn () => $this->receiveOrder($order, $last, $places));
            }
        }
    }

    /** @param  Collection<string, int>  $places  ids by code */
    private function receiveOrder(Order $order, OrderStep $last, Collection $places): void
    {
        $finished = (bool) preg_match('/^(EX|TANK|TRAY)/', $order->item->number);
        $more = ! $order->received()->isZero();
        $number = $order->item->tracking === Tracking::Lot && $more ? $order->number : '';
        $this->receive->handle(
            $order->id,
            new TypedReceipt(
                Amount::plain((string) $last->pieces()->inHand()),
                $places[$finished ? 'FINISHED' : 'STORES'],
                $number,
            ),
            $this->staff->signs(Role::Storekeeper),
        );
    }
}
