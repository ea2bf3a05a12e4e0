<?php

use App\Access\Role;
use App\Actions\Schedule\CalendarEdit;
use App\Actions\Schedule\ChangeCalendar;
use App\Actions\Schedule\DateToHold;
use App\Actions\Schedule\GoLive;
use App\Actions\Schedule\HoldPromise;
use App\Actions\Schedule\LoadByRank;
use App\Actions\Schedule\MoveStep;
use App\Actions\Schedule\SayAbsent;
use App\Actions\Schedule\UndoPlan;
use App\Actions\Schedule\WhatIf;
use App\Books\Signed;
use App\Models\Order;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Queries\Board\BoardData;
use App\Queries\Board\MovePreview;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Quantity\TypedQuantity;
use KeepPace\Core\Refusal;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\Put;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Scheduling\FullChecker;

/** @return list<string> what is wrong with the live plan */
function faultsOfLive(): array
{
    $standing = StandingPlan::of();
    $problem = $standing->problem();
    $schedule = KeptSequence::load($problem, $standing->steps());
    $faults = FullChecker::faults($problem, $schedule);
    // bringing up to date what is up to date changes nothing, and every step of every open order is there once
    foreach ($schedule->steps as $id => $at) {
        $was = $standing->steps()[$id] ?? null;
        if (
            $was === null
            || [$was->start, $was->end, $was->machine, $was->workCentre] !== [
                $at->start,
                $at->end,
                $at->machine,
                $at->workCentre,
            ]
        ) {
            $faults[] = "step {$id} is not where it is kept";
        }
    }
    $finishes = array_filter($schedule->finish, fn (int $job): bool => $job > 0, ARRAY_FILTER_USE_KEY);
    ksort($finishes);
    $said = $standing->finishes();
    ksort($said);

    return [
        ...$faults,
        ...$finishes === $said && count($schedule->steps) === count($standing->steps())
            ? []
            : ['finishes or steps differ from those kept'],
    ];
}

/*
 * A walk over everything that is done to plans, with work going on in the shop and the clock going on between. Refusals
 * are part of
 * it. After each deed the live plan must pass the independent checker against the facts it was computed from, hold each
 * open step once, and pace:verify must find nothing; a preview must foretell just what its move does.
 */
it('keeps every plan true, whatever is done to it', function (int $seed) {
    $random = new Randomizer(new Mt19937($seed));
    $pick = fn (array $of): mixed => $of[$random->getInt(0, count($of) - 1)];
    $planner = $this->shop->as(Role::Planner);
    $token = fn (): string => $this->shop->token();
    foreach (
        [['TRAY-40', '12'], ['LID-9', '8'], ['GBOX-1', '3'], ['DRUM-9', '4'], ['STAND-3', '6']] as [$item, $quantity]
    ) {
        $this->shop->order($item, $quantity, '2026-12-0'.$random->getInt(1, 9));
    }
    $now = fn (): int => ShopState::minute(now());
    $steps = fn (int $plan): array => DB::table('plan_steps')->where('plan_id', $plan)->pluck('order_step_id')->all();
    $move = function (int $plan, bool $pin) use ($pick, $random, $steps, $token, $planner, $now): void {
        $step = $pick($steps($plan));
        $centre = $random->getInt(0, 3) > 0
                ? (int) (DB::table('plan_steps')
                    ->where('plan_id', $plan)
                    ->where('order_step_id', $step)
                    ->value('work_centre_id') ?? 1)
                : $random->getInt(1, 10);
        [$machine, $minute] = [$random->getInt(1, 2), $now() + $random->getInt(-100, 6000)];
        $preview = $pin ? null : MovePreview::of($plan, new Put($step, $centre, $machine, $minute));
        app(MoveStep::class)->handle(
            $plan,
            new Put($step, $centre, $machine, $minute),
            $pin,
            null,
            new Signed($token(), $planner),
        );
        if ($preview !== null) {
            $at = DB::table('plan_steps')->where('plan_id', $plan)->where('order_step_id', $step)->first();
            expect($preview['can'])->toBeTrue()
                ->and(gmdate('Y-m-d H:i:s', $preview['lands'][0] * 60))->toBe($at->start_at);
        }
    };
    $beside = fn (): ?int => Plan::query()->where('is_live', false)->inRandomOrder($random->getInt(1, 99))->value('id');
    $deeds = [
        'move' => fn () => $move(Plan::LIVE, false),
        'move again' => fn () => $move(Plan::LIVE, false),
        'pin' => fn () => $move(Plan::LIVE, true),
        'unpin' => fn () => ($pin = DB::table('plan_pins')->where('plan_id', Plan::LIVE)->value('order_step_id'))
        === null
            ? null
            : app(MoveStep::class)->unpin(Plan::LIVE, $pin, null, new Signed($token(), $planner)),
        'undo' => fn () => app(UndoPlan::class)->undo(Plan::LIVE, new Signed($token(), $planner)),
        'redo' => fn () => app(UndoPlan::class)->redo(Plan::LIVE, new Signed($token(), $planner)),
        'by rank' => fn () => app(LoadByRank::class)->handle(new Signed($token(), $planner)),
        'order' => fn () => $this->shop->order(
            $pick(['TRAY-40', 'LID-9', 'SHAFT-S', 'TANK-50']),
            (string) $random->getInt(1, 9),
            '2026-12-10',
        ),
        'release' => fn () => $this->shop->release(Order::query()->where('state', 'firm')->firstOrFail(), 'walk'),
        'report' => function (): void {
            $order = Order::query()->whereIn('state', ['released', 'running'])->first();
            $step = $order?->steps()->whereRaw('taken_in > passed_on + scrap')->first();
            $step === null ?: $this->shop->report($step, '1', '1');
        },
        'down' => fn () => app(SayAbsent::class)->machine(
            $random->getInt(1, 10),
            $random->getInt(0, 2),
            CarbonImmutable::now(),
            $random->getInt(0, 1) === 0 ? null : CarbonImmutable::now()->addHours($random->getInt(1, 60)),
            new Signed($token(), $planner, 'walk'),
        ),
        'away' => fn () => app(SayAbsent::class)->person(
            $random->getInt(1, 11),
            CarbonImmutable::now(),
            CarbonImmutable::now()->addHours($random->getInt(1, 60)),
            new Signed($token(), $planner, 'walk'),
        ),
        'back' => fn () => ($what = $pick(['downtimes', 'absences']))
        && ($id = DB::table($what)->whereNull('ended_at')->value('id'))
            ? app(SayAbsent::class)->back($what, $id, new Signed($token(), $planner))
            : null,
        'calendar' => fn () => app(ChangeCalendar::class)->handle(
            $random->getInt(1, 3),
            new CalendarEdit(
                null,
                [
                    [
                        'date' => '2026-12-0'.$random->getInt(1, 9),
                        'kind' => 'closed',
                        'from' => '',
                        'to' => '',
                        'name' => 'walk',
                    ],
                ],
            ),
            true,
            new Signed($token(), $planner),
        ),
        'hold' => fn () => app(HoldPromise::class)->handle(
            new DateToHold(
                $this->shop->item('TRAY-40')->id,
                new TypedQuantity('20'),
                $random->getInt(0, 1) === 1,
                $random->getInt(1, 9),
                'walk',
            ),
            new Signed($token(), $planner),
        ),
        'let go' => fn () => ($id = DB::table('promises')->whereNull('released_at')->value('id')) === null
            ? null
            : app(HoldPromise::class)->release($id, new Signed($token(), $planner)),
        'copy' => fn () => app(WhatIf::class)->copy('walk', new Signed($token(), $planner)),
        'move beside' => fn () => ($id = $beside()) === null ? null : $move($id, false),
        'again' => fn () => ($id = $beside()) === null ? null : app(WhatIf::class)->again(
            $id,
            new Signed($token(), $planner),
        ),
        'live' => fn () => ($id = $beside()) === null
            ? null
            : app(GoLive::class)->handle($id, null, new Signed($token(), $planner)),
        'discard' => fn () => ($id = $beside()) === null ? null : app(WhatIf::class)->discard(
            $id,
            new Signed($token(), $planner),
        ),
        'clock' => function () use ($random): void {
            Carbon::setTestNow(now()->addMinutes($random->getInt(1, 90)));
            app(KeepUp::class)->handle();
        },
    ];
    $done = [];
    for ($i = 0; $i < 45; $i++) {
        $name = $pick(array_keys($deeds));
        try {
            $deeds[$name]();
            $done[] = $name;
        } catch (Refusal $why) {
            $done[] = "{$name} (refused: {$why->getMessage()})";
        }
        $faults = [...faultsOfLive(), ...$this->shop->differences()];
        if ($faults !== []) {
            $this->fail("seed {$seed}, after ".implode(', ', $done)."\n".implode("\n", $faults));
        }
    }
    BoardData::of();
    $booked = array_filter($done, fn (string $deed): bool => ! str_contains($deed, 'refused'));
    expect(count($booked))->toBeGreaterThan(20);
    // all that can be undone is, and the plan is true still
    for ($i = 0; $i < 70; $i++) {
        try {
            app(UndoPlan::class)->undo(Plan::LIVE, new Signed($token(), $planner));
        } catch (Refusal) {
            break;
        }
    }
    expect($i)->toBeLessThan(70)->and(faultsOfLive())->toBe([])->and($this->shop->differences())->toBe([]);
})->with([1, 2, 3, 2026]);
