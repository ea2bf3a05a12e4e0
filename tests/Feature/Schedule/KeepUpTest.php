<?php

use App\Access\Role;
use App\Actions\Orders\ChangeOrder;
use App\Actions\Schedule\LoadByRank;
use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Models\WorkCentre;
use App\Planner\KeepUp;
use App\Queries\Orders\OrderList;
use App\Queries\Orders\PaceStrips;
use App\Wording\WaitsFor;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

/**
 * @return array<int, array{string, string, int|null}> start, end and machine by step id, as the live plan holds them
 */
function live(): array
{
    return DB::table('plan_steps')
        ->where('plan_id', Plan::LIVE)
        ->get()
        ->mapWithKeys(fn ($row): array => [$row->order_step_id => [$row->start_at, $row->end_at, $row->machine]])
        ->all();
}

function change(object $test, Order $order, array $to): void
{
    app(ChangeOrder::class)->head($order->id, $order->refresh()
        ->version, ['quantity' => (string) (int) $order->quantity, 'due_on' => $order->due_on, 'rank' => $order->rank,
            'is_held' => $order->is_held, ...$to], $test->shop->sign(Role::Supervisor));
}

it('holds each open step of each open order once, in sequence, in open time', function () {
    $this->shop->release($this->shop->order('TRAY-40', '12'));
    $this->shop->order('EX-9H', '3');
    $this->shop->order('GEAR-48', '10');
    $plan = live();
    $open = OrderStep::query()
        ->with('workCentre')
        ->whereHas('order', fn ($order) => $order->whereIn('state', ['firm', 'released', 'running']))
        ->orderBy('order_id')
        ->orderBy('number')
        ->get();
    expect(array_keys($plan))->toEqualCanonicalizing($open->modelKeys());
    foreach ($open->groupBy('order_id') as $steps) {
        foreach ($steps->sliding(2) as $pair) {
            [$before, $after] = $pair->values()->all();
            expect($plan[$after->id][0])->toBeGreaterThanOrEqual($plan[$before->id][1]);
        }
    }
    // 2026-11-24 is a Tuesday; the plant works 07:00 to 15:30, in November on UTC
    $calendar = WorkCentre::query()->where('code', 'WELD')->value('calendar_id');
    $isByDay = fn ($step): bool => $step->workCentre->code !== 'TEST' && $step->workCentre->calendar_id === $calendar;
    foreach ($open->whereNotNull('work_centre_id')->filter($isByDay) as $step) {
        expect(substr($plan[$step->id][0], 11, 5))->toBeGreaterThanOrEqual('07:00')
            ->and(substr($plan[$step->id][1], 11, 5))->toBeLessThanOrEqual('17:30');
    }
});

it('writes only what changed, and takes out what is over', function () {
    $order = $this->shop->order('TRAY-40', '12');
    $this->shop->order('LID-9', '4');
    $ids = DB::table('plan_steps')->pluck('id', 'order_step_id')->all();
    app(KeepUp::class)->handle();
    expect(DB::table('plan_steps')->pluck('id', 'order_step_id')->all())->toBe($ids);
    $writes = 0;
    DB::listen(function ($query) use (&$writes): void {
        $writes += preg_match('/^(insert|update|delete).*`plan_(orders|steps|components)`/i', $query->sql);
    });
    app(KeepUp::class)->handle();
    expect($writes)->toBe(0);
    app(ChangeOrder::class)->cancel(
        $order->id,
        $order->refresh()->version,
        $this->shop->sign(Role::Planner, 'not wanted', 'c'),
    );
    expect(DB::table('plan_steps')->whereIn('order_step_id', $order->steps->modelKeys())->count())->toBe(0)
        ->and(DB::table('plan_orders')->where('order_id', $order->id)->count())->toBe(0)
        ->and(count(live()))->toBe(count($ids) - 3);
});

it('keeps each machine\'s sequence when rank or date change, until a person has it loaded by rank', function () {
    $first = $this->shop->order('TRAY-40', '60', '2026-12-03');
    $second = $this->shop->order('TRAY-40', '60', '2026-12-04');
    $laser = fn (Order $order): string => live()[$order->steps()->firstOrFail()->id][0];
    expect($laser($first))->toBeLessThan($laser($second));
    change($this, $second, ['rank' => 100, 'due_on' => '2026-12-01']);
    expect($laser($first))->toBeLessThan($laser($second));
    $booking = app(LoadByRank::class)->handle($this->shop->sign(Role::Planner, token: 'by rank'));
    expect($laser($second))->toBeLessThan($laser($first))
        ->and(Plan::query()->find(Plan::LIVE)->booking_id)->toBe($booking->id)
        ->and(fn () => app(LoadByRank::class)->handle($this->shop->sign(Role::Planner, token: 'again')))
        ->toThrow(Refused::class, 'loaded by rank already');
    // a new order goes where its rank puts it, and the others make room
    $rush = $this->shop->order('TRAY-40', '60', '2026-12-20');
    expect($laser($rush))->toBeGreaterThan($laser($first));
});

it('leaves a held order out, and says so', function () {
    $order = $this->shop->order('TRAY-40', '6');
    change($this, $order, ['is_held' => true]);
    expect(array_intersect_key(live(), array_flip($order->steps->modelKeys())))->toBe([])
        ->and(DB::table('plan_orders')->where('order_id', $order->id)->value('unplaced'))->toBe('held');
    $this->actingAs($this->shop->as(Role::Supervisor))->get('/orders')->assertSee('held');
});

it('starts a step when its parts have come: a purchase by its day, a part order by its end', function () {
    DB::table('balances')->where('item_id', $this->shop->item('CAST-48')->id)->update(['quantity' => 0]);
    $this->shop->purchase('P-7', 'CAST-48', '50', '2026-12-01');
    $gear = $this->shop->order('GEAR-48', '10');
    // W11: from the next opening after the day it comes
    expect(live()[$gear->steps[0]->id][0])->toBe('2026-12-02 07:00:00');
    $row = DB::table('plan_orders')->where('order_id', $gear->id)->first();
    expect($row->readiness)->toBe('waits')
        ->and((bool) $row->can_start)->toBeFalse()
        ->and(WaitsFor::all($row->blocks)[0]->by?->label())->toBe('purchase P-7');
    DB::table('balances')
        ->where('item_id', $this->shop->item('GEAR-48')->id)
        ->update(['quantity' => 0]);
    $box = $this->shop->order('GBOX-1', '2');
    $finish = DB::table('plan_orders')->where('order_id', $gear->id)->value('finish_at');
    $at = $box->steps->first(fn ($step): bool => $step->number === $box->components
        ->first(fn ($component): bool => $component->item->number === 'GEAR-48')->step_number);
    expect(live()[$at->id][0])->toBeGreaterThanOrEqual($finish);
});

it('counts lateness in working time of the plant', function () {
    // due on Tuesday the 24th at 16:00; nothing can be finished before Wednesday
    $order = $this->shop->order('TRAY-40', '40', '2026-11-23');
    $row = DB::table('plan_orders')->where('order_id', $order->id)->first();
    $finish = Carbon::parse($row->finish_at);
    expect($row->due_at)->toBe('2026-11-23 16:00:00')->and($row->late_minutes)->toBeGreaterThan(0);
    // the plant is open 465 minutes a day, 07:00 to 15:30 less 45 minutes of breaks: from Monday 16:00 on, whole days
    // and a part
    $days = (int) Carbon::parse('2026-11-24')->diffInDays($finish->copy()->startOfDay());
    expect($row->late_minutes)->toBeGreaterThanOrEqual($days * 465)->toBeLessThanOrEqual(($days + 1) * 465);
});

it('lets what runs keep its machine, and time goes on with it', function () {
    $order = $this->shop->order('TRAY-40', '20');
    $this->shop->release($order);
    app(App\Actions\Shop\StartStep::class)->handle($order->steps[0]->id, $this->shop->sign(Role::Operator, token: 's'));
    $end = live()[$order->steps[0]->id][1];
    $this->travel(30)->minutes();
    app(KeepUp::class)->handle();
    expect(live()[$order->steps[0]->id])->toBe([now()->format('Y-m-d H:i:00'), $end, 1]);
});

it('stands by what was booked when the plan cannot be made', function () {
    DB::table('plan_inputs')->delete();
    DB::table('plans')->delete();
    $booking = $this->shop->goodsIn('BRG-25', '5', '7');
    expect($booking->exists)->toBeTrue()->and($this->shop->stock('BRG-25')['quantity'])->toBe('85');
});

it('draws the pace strip to scale and marks where the order should be by now', function () {
    $order = $this->shop->order('TRAY-40', '10', '2026-11-24');
    $this->shop->release($order);
    $this->shop->report($order->steps[0], '10', '10');
    $this->shop->report($order->steps[1], '5');
    $strip = PaceStrips::for(OrderList::find([$order->id]))[$order->id];
    expect(
        array_map(fn ($segment): array => [$segment->number, $segment->minutes, $segment->done], $strip->segments),
    )->toBe(
        $order
            ->steps()
            ->get()
            ->map(fn ($step, $i): array => [$step->number, $step->planned_minutes, [1.0, 0.5, 0.0][$i]])
            ->all(),
    );
    // 09:00 now, due 16:00 the same day: 345 open minutes are left (15:30 less 45 of breaks)
    expect($strip->mark)->toEqualWithDelta(max(0, ($strip->minutes - 345) / $strip->minutes), 0.001)
        ->and($strip->title())->toContain('1 of 3 steps done');
    $shapes = $strip->shapes(100.0);
    expect(array_keys($shapes))->toBe(['here', 'done', 'part', 'open', 'mark', 'mark-head'])
        ->and(substr_count($shapes['open'], 'M'))->toBe(3)
        ->and(substr_count($shapes['done'], 'M'))->toBe(1);
});
