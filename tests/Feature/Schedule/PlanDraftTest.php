<?php

use App\Models\Order;
use App\Models\OrderStep;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Planner\PlanDraft;
use App\Planner\PlanWriter;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Schedule;

/* Of a plan only what differs is written: what stands where it stood is left alone, what is over goes. */

beforeEach(function (): void {
    $this->orders = [
        $this->shop->order('TRAY-40', '30', '2026-12-03'),
        $this->shop->order('LID-9', '20', '2026-12-07'),
        $this->shop->order('DRUM-9', '4', '2026-12-18'),
    ];
    app(KeepUp::class)->handle();
    /** @param  Closure(array<int, PlannedStep>): array<int, PlannedStep>  $change */
    $this->draft = function (Closure $change): PlanDraft {
        $plan = Plan::query()->findOrFail(Plan::LIVE);
        $standing = StandingPlan::of();
        [$problem, $stands] = $standing->loadNow(
            $shop = ShopState::now(),
            StandingPlan::keeping($standing->steps()),
        );

        return PlanDraft::of(
            $plan,
            $shop,
            $problem,
            new Schedule($change($stands->steps), $stands->finish, $stands->unplaced),
            $plan->input,
            $standing,
        );
    };
    $this->steps = fn (): array => DB::table('plan_steps')->where('plan_id', Plan::LIVE)->orderBy('order_step_id')
        ->get(['order_step_id', 'work_centre_id', 'machine', 'start_at', 'run_at', 'end_at', 'minutes'])
        ->map(fn ($row): string => implode(' ', (array) $row))->all();
});

it('writes nothing of steps, orders and components where nothing moved', function () {
    $draft = ($this->draft)(fn (array $steps): array => $steps);
    expect($draft->rows['plan_steps'])->toBe([])
        ->and($draft->rows['plan_orders'])->toBe([])
        ->and($draft->rows['plan_components'])->toBe([])
        ->and($draft->over)->toBe(['plan_orders' => [], 'plan_steps' => [], 'plan_components' => []])
        ->and($draft->hasEffect())->toBeFalse();
});

it('writes a step that moved by anything it is said by, and no other', function (string $what) {
    $id = DB::table('plan_steps')->whereNotNull('work_centre_id')->orderBy('start_at')->value('order_step_id');
    $draft = ($this->draft)(function (array $steps) use ($id, $what): array {
        $at = $steps[$id];
        $steps[$id] = new PlannedStep(
            $at->start - ($what === 'start' ? 5 : 0),
            $at->end + ($what === 'end' ? 7 : 0),
            $at->machine + ($what === 'machine' ? 1 : 0),
            $what === 'centre' ? null : $at->workCentre,
            $at->setupEnd,
            ($at->runStart ?? $at->start) + ($what === 'run' ? 3 : 0),
        );

        return $steps;
    });
    expect(array_column($draft->rows['plan_steps'], 'order_step_id'))->toBe([$id])
        ->and($draft->over['plan_steps'])->toBe([]);
})->with(['start', 'end', 'machine', 'centre', 'run']);

it('takes a run that begins with the step for no move', function () {
    $draft = ($this->draft)(fn (array $steps): array => array_map(
        fn (PlannedStep $at): PlannedStep => $at->runStart === $at->start
            ? new PlannedStep($at->start, $at->end, $at->machine, $at->workCentre)
            : $at,
        $steps,
    ));
    expect($draft->rows['plan_steps'])->toBe([]);
});

it('takes out what has no place any more, and puts it in again', function () {
    $before = ($this->steps)();
    $gone = array_map(intval(...), $this->orders[1]->steps()->pluck('id')->all());
    $draft = ($this->draft)(fn (array $steps): array => array_diff_key($steps, array_flip($gone)));
    expect($draft->over['plan_steps'])->toHaveCount(count($gone))->and($draft->rows['plan_steps'])->toBe([]);
    app(PlanWriter::class)->write(Plan::query()->findOrFail(Plan::LIVE), $draft);
    expect(DB::table('plan_steps')->whereIn('order_step_id', $gone)->count())->toBe(0)
        ->and(($this->steps)())->toHaveCount(count($before) - count($gone));
    app(KeepUp::class)->handle();
    expect(($this->steps)())->toBe($before);
});

it('writes what differs so that all of it is as if it were written anew', function (int $seed) {
    mt_srand($seed);
    $ids = OrderStep::query()->whereNotNull('work_centre_id')->pluck('id')->all();
    $moved = array_slice($ids, 0, mt_rand(1, count($ids)));
    $wanted = [];
    $draft = ($this->draft)(function (array $steps) use ($moved, &$wanted): array {
        foreach ($moved as $id) {
            $by = mt_rand(-60, 60);
            $at = $steps[$id];
            $steps[$id] = new PlannedStep($at->start + $by, $at->end + $by, $at->machine, $at->workCentre);
        }
        $wanted = $steps;

        return $steps;
    });
    app(PlanWriter::class)->write(Plan::query()->findOrFail(Plan::LIVE), $draft);
    $stands = StandingPlan::of()->steps();
    foreach ($wanted as $id => $at) {
        expect([$stands[$id]->start, $stands[$id]->end, $stands[$id]->machine, $stands[$id]->workCentre])
            ->toBe([$at->start, $at->end, $at->machine, $at->workCentre])
            ->and($stands[$id]->runStart)->toBe($at->runStart ?? $at->start);
    }
    expect(array_keys($stands))->toEqualCanonicalizing(array_keys($wanted));
})->with([1, 2, 3]);

it('tells who becomes late by it, and who is in time again', function () {
    $of = fn (): PlanDraft => ($this->draft)(fn (array $steps): array => $steps);
    $first = $this->orders[0];
    Order::query()->whereKey($first->id)->update(['due_on' => '2026-11-24']);
    $draft = $of();
    expect(array_keys($draft->late))->toBe([$first->id])->and($draft->late[$first->id])->toBeGreaterThan(0);
    app(PlanWriter::class)->write(Plan::query()->findOrFail(Plan::LIVE), $draft);
    expect($of()->late)->toBe([]); // it is late already
    Order::query()->whereKey($first->id)->update(['due_on' => '2027-02-26']);
    expect($of()->saved)->toBe([$first->id])->and($of()->hasEffect())->toBeTrue();
});
