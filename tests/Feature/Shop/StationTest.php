<?php

use App\Access\Role;
use App\Actions\Shop\StartStep;
use App\Models\WorkCentre;
use App\Queries\Station\StationQueue;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;

beforeEach(function () {
    $this->order = $this->shop->order('TRAY-40', '10');
    $this->shop->release($this->order);
});

it('passes a part on and keeps the rest', function () {
    $steps = $this->order->steps()->get();
    $this->shop->report($steps[0], '6', '4');
    expect($steps[0]->refresh()->only(['good', 'passed_on']))->toBe(['good' => '6.000000', 'passed_on' => '4.000000'])
        ->and($steps[1]->refresh()->taken_in)->toBe('4.000000');
    $this->shop->report($steps[0], '0', '2', over: ['minutes' => 0]);
    expect($steps[1]->refresh()->taken_in)->toBe('6.000000')->and($this->shop->differences())->toBe([]);
});

it('says at once when scrap leaves the order short, and asks why', function () {
    $steps = $this->order->steps()->get();
    expect(fn () => $this->shop->report($steps[0], '0', '0', '1', ['reason' => '']))->toThrow(Refused::class, 'why');
    expect($this->shop->report($steps[0], '8', '8', '2')->says)->toContain('will finish 2 short');
});

it('refuses what is not there to be counted', function (string $good, string $pass, string $scrap, string $says) {
    expect(fn () => $this->shop->report($this->order->steps()->first(), $good, $pass, $scrap))->toThrow(
        Refused::class,
        $says,
    );
    expect($this->shop->differences())->toBe([]);
})->with([['11', '0', '0', '10 left to do'], ['5', '6', '0', '5 good in hand'], ['0', '0', '0', 'Nothing was counted'],
    ['0.5', '0', '0', 'whole'], ['6', '0', '5', '10 left to do']]);

it('starts by the clock and books the minutes since', function () {
    $step = $this->order->steps()->first();
    $start = fn () => app(StartStep::class)->handle($step->id, $this->shop->sign(Role::Operator));
    $start();
    expect($start)->toThrow(Refused::class, 'running already');
    $this->travel(45)->minutes();
    $this->shop->report($step->refresh(), '10', '10', over: ['minutes' => null]);
    expect($step->refresh()->booked_minutes)->toBe(45)->and($step->started_at)->toBeNull();
    expect(
        fn () => app(StartStep::class)->handle(
            $this->order->steps()->get()[2]->id,
            $this->shop->sign(Role::Operator, token: 'z'),
        ),
    )->toThrow(Refused::class, 'Nothing has reached');
});

it('keeps what was typed at the station when it is refused', function () {
    $step = $this->order->steps()->first();
    $page = '/station/'.$step->work_centre_id;
    $this->actingAs($this->shop->as(Role::Operator))
        ->from($page)
        ->post("/order-steps/{$step->id}/report", [
            'token' => 's',
            'form' => "step-{$step->id}",
            'good' => '99',
            'scrap' => '0',
            'pass_on' => '99',
            'minutes' => '12',
        ])
        ->assertRedirect($page)
        ->assertSessionHasErrors('good');
    $this->get($page)->assertSee('value="99"', false)->assertSee('10 left to do')->assertSee('value="12"', false);
});

it('shows the queue of a work centre in the plan\'s order', function () {
    $this->actingAs($this->shop->as(Role::Operator))
        ->get('/station/'.WorkCentre::query()->where('code', 'LASER')->value('id'))
        ->assertOk()
        ->assertSee("{$this->order->number}")
        ->assertSee('Count and pass on');
});

it('keeps jobs that run at the same time where they stood, machine by machine', function () {
    $others = array_map(fn (): App\Models\Order => $this->shop->order('TRAY-40', '4'), range(1, 3));
    array_map($this->shop->release(...), $others);
    foreach ([$this->order, ...$others] as $order) {
        app(StartStep::class)->handle($order->steps()->first()->id, $this->shop->sign(Role::Operator));
    }
    $laser = WorkCentre::query()->where('code', 'LASER')->value('id');
    $ids = StationQueue::at($laser)->here->pluck('id')->all();
    expect($ids)->toHaveCount(4);
    $this->plan->stop(); // all run from now on, two on each machine, the later ones on the first
    sort($ids);
    foreach ($ids as $i => $id) {
        DB::table('plan_steps')->where('order_step_id', $id)
            ->update(['start_at' => '2026-11-24 09:00:00', 'machine' => $i < 2 ? 2 : 1]);
    }
    expect(StationQueue::at($laser)->here->pluck('id')->all())->toBe([$ids[2], $ids[3], $ids[0], $ids[1]]);
    DB::table('plan_steps')->where('order_step_id', $ids[3])->update(['machine' => 3]);
    DB::table('plan_steps')->where('order_step_id', $ids[3])->update(['machine' => 1]); // written again meanwhile
    expect(StationQueue::at($laser)->here->pluck('id')->all())->toBe([$ids[2], $ids[3], $ids[0], $ids[1]]);
});
