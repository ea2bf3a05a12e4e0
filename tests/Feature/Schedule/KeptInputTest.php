<?php

use App\Access\Role;
use App\Actions\Schedule\MoveStep;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Shop\KeptInput;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\Put;

/* What a plan was computed from is kept as long as the facts hold, however often it is arranged anew. */

function kept(): ?KeptInput
{
    return StandingPlan::of()->kept();
}

/** A step of the last order ahead of the first's, pinned there or not. */
function ahead(object $test, bool $pin = false): void
{
    $of = fn ($order): stdClass => DB::table('plan_steps AS p')
        ->join('order_steps AS s', 's.id', 'p.order_step_id')
        ->where('p.plan_id', Plan::LIVE)
        ->where('s.order_id', $order->id)
        ->orderBy('s.number')
        ->first(['s.id', 'p.work_centre_id', 'p.machine', 'p.start_at']);
    $step = $of($test->last);
    $minute = ShopState::minute(CarbonImmutable::parse($of($test->first)->start_at, 'UTC')) + ($pin ? 600 : 0);
    app(MoveStep::class)->handle(
        Plan::LIVE,
        new Put($step->id, $step->work_centre_id, $step->machine, $minute),
        $pin,
        null,
        $test->shop->sign(Role::Planner),
    );
}

beforeEach(function (): void {
    $this->first = $this->shop->order('TRAY-40', '30', '2026-12-03');
    $this->last = $this->shop->order('LID-9', '20', '2026-12-07');
});

it('stays as it is kept when a step is moved, while the plan is written anew', function () {
    [$before, $problem] = [Plan::query()->findOrFail(Plan::LIVE), kept()?->problem];
    ahead($this);
    $after = Plan::query()->findOrFail(Plan::LIVE);
    expect($after->stamp)->not->toBe($before->stamp)
        ->and($after->input)->toBe($before->input)
        ->and($problem)->not->toBeNull()
        ->and(kept()?->problem)->toEqual($problem);
    // the plan written from it is the one that all the facts, read anew, give
    $written = DB::table('plan_steps')
        ->where('plan_id', Plan::LIVE)
        ->orderBy('order_step_id')
        ->get(['order_step_id', 'work_centre_id', 'machine', 'start_at', 'run_at', 'end_at'])
        ->all();
    $orders = DB::table('plan_orders')
        ->where('plan_id', Plan::LIVE)
        ->orderBy('order_id')
        ->get(['order_id', 'finish_at', 'late_minutes', 'readiness'])
        ->all();
    DB::table('plan_inputs')->delete();
    app(KeepUp::class)->handle();
    expect(
        DB::table('plan_steps')
            ->where('plan_id', Plan::LIVE)
            ->orderBy('order_step_id')
            ->get(['order_step_id', 'work_centre_id', 'machine', 'start_at', 'run_at', 'end_at'])
            ->all(),
    )
        ->toEqual($written)
        ->and(
            DB::table('plan_orders')
                ->where('plan_id', Plan::LIVE)
                ->orderBy('order_id')
                ->get(['order_id', 'finish_at', 'late_minutes', 'readiness'])
                ->all(),
        )
        ->toEqual($orders)
        ->and($this->shop->differences())->toBe([]);
});

it('is read anew, and the old one let go, when a fact or a pin changes or the clock went on', function (Closure $deed) {
    $old = Plan::query()->findOrFail(Plan::LIVE)->input;
    expect(kept()?->facts)->toBe($old);
    $deed($this);
    $new = Plan::query()->findOrFail(Plan::LIVE)->input;
    expect($new)->not->toBe($old)->and(kept()?->facts)->toBe($new);
})->with([
    'goods came in' => [fn ($test) => $test->shop->goodsIn('BRG-25', '5', '7')],
    'an order came in' => [fn ($test) => $test->shop->order('LID-9', '6', '2026-12-01')],
    'a step was pinned' => [fn ($test) => ahead($test, true)],
    'ten minutes went by before a step was moved' => [function ($test): void {
        $test->travel(10)->minutes();
        ahead($test);
    }],
]);

it('can be lost: the plan is then asked of the facts as they are now', function () {
    DB::table('plan_inputs')->delete();
    expect(kept())->toBeNull()->and(count(StandingPlan::of()->problem()->jobs))->toBe(2);
    ahead($this);
    expect(kept())->not->toBeNull()->and($this->shop->differences())->toBe([]);
});

it('is not read by another version of the program than packed it', function (string $packed) {
    DB::table('plan_inputs')->update(['packed' => $packed]);
    expect(kept())->toBeNull()->and(count(StandingPlan::of()->problem()->jobs))->toBe(2);
    ahead($this);
    expect(kept())->not->toBeNull()->and($this->shop->differences())->toBe([]);
})->with([
    'of other classes' => fn (): string => (string) gzcompress("another\n".'O:13:"App\Shop\Gone":0:{}'),
    'of a time when none was named' => fn (): string => (string) gzcompress(serialize([1, 2])),
]);
