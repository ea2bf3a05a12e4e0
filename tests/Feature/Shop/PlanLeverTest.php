<?php

use App\Models\Plan;
use App\Models\WorkCentre;
use App\Shop\DoneHere;
use App\Shop\LeverDeed;
use App\Shop\LeverKind;
use App\Shop\LeverOffer;
use App\Shop\PlanLever;
use App\Shop\StandingPlan;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Lever\LeverEffect;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;
use KeepPace\Core\Scheduling\Step;

/* A lever of a what-if: kept beside its plan and read again, and what it does to the shop it is tried on. */

/** As it is read from a plan that was written with it. */
function keptAndRead(PlanLever ...$levers): array
{
    $plan = new Plan(['levers' => json_encode(array_map(fn (PlanLever $one): array => $one->kept(), $levers))]);

    return PlanLever::ofPlan($plan);
}

function stepOfProblem(Problem $problem, int $id): Step
{
    foreach ($problem->jobs as $job) {
        foreach ($job->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }
    }

    throw new LogicException("There is no step {$id}.");
}

it('is read as it was kept, whatever its kind is about', function (Closure $made) {
    $lever = $made();
    expect(keptAndRead($lever))->toEqual([$lever]);
})->with([
    'overtime' => [fn () => new PlanLever(
        LeverKind::Overtime,
        '2 hours longer at Laser, 2 days from Tue 24 Nov',
        centre: 3,
        spans: [['2026-11-24', '22:00', '24:00'], ['2026-11-25', '22:00', '24:00']],
    )],
    'a machine' => [fn () => new PlanLever(LeverKind::Machine, 'One machine more at Laser', centre: 3)],
    'halves' => [fn () => new PlanLever(LeverKind::Split, 'Pass the first half of 218 on', order: 218)],
    'rank' => [fn () => new PlanLever(LeverKind::Rank, 'Put 218 before all other orders', order: 218)],
    'at a supplier' => [fn () => new PlanLever(
        LeverKind::SendOut,
        '218 step 20 Grind at a supplier <&"\'>',
        step: 20,
        days: 4,
        supplier: 7,
        costs: '50.00 € there, 1 230.00 € here',
        deed: new LeverDeed('Have it done there', 'purchase', 'put', 'step-suppliers.update', 20, ['version' => 3]),
    )],
    'here' => [fn () => new PlanLever(
        LeverKind::BringIn,
        '218 step 30 Harden here',
        centre: 3,
        step: 30,
        here: new DoneHere(0, 60, 1, 2),
    )],
    'elsewhere' => [fn () => new PlanLever(LeverKind::Other, '218 step 10 on Press', centre: 4, step: 10)],
    'material' => [fn () => new PlanLever(
        LeverKind::Material,
        'Hurry P-71',
        steps: [0 => [29_000_000, [4, 5]], 17 => [29_000_060, []]],
    )],
]);

it('reads what was kept before it was a value: what a kind is not about was left out', function () {
    $plan = new Plan(['levers' => '[{"kind":"rank","order":218,"says":"Put 218 before all other orders"},'
        .'{"kind":"material","steps":{"17":[29000060,[4]]},"says":"Hurry P-71","deed":{"label":"Ask for it","right":'
        .'"purchase","method":"put","to":"purchases.update","id":5,"fields":{"asked_for":"2026-12-04"}},"costs":""}]']);
    [$rank, $material] = PlanLever::ofPlan($plan);
    expect($rank)->toEqual(new PlanLever(LeverKind::Rank, 'Put 218 before all other orders', order: 218))
        ->and($material->steps)->toBe([17 => [29_000_060, [4]]])
        ->and($material->deed?->fields)->toBe(['asked_for' => '2026-12-04'])
        ->and(PlanLever::ofPlan(new Plan))->toBe([]);
});

it('can become a fact where going live can make it so', function () {
    $can = array_filter(LeverKind::cases(), fn (LeverKind $kind): bool => $kind->canBeFact());
    expect(array_values($can))
        ->toBe([LeverKind::Overtime, LeverKind::Split, LeverKind::Rank, LeverKind::Other]);
});

it('adds hours to a work centre, in the plant’s time, and leaves the others', function () {
    $this->shop->order('TRAY-40', '4');
    $problem = StandingPlan::of()->problem();
    $centre = WorkCentre::query()->where('code', 'LASER')->firstOrFail()->id;
    // a Sunday in winter: Dublin keeps UTC then
    $sunday = intdiv((int) strtotime('2026-11-29 10:00 UTC'), 60);
    $open = fn (Problem $of, int $at): OpenWindows => $of->workCentres[$at]->open;
    $with = (new PlanLever(
        LeverKind::Overtime,
        'Sunday',
        centre: $centre,
        spans: [['2026-11-29', '10:00', '14:00']],
    ))->on($problem);
    expect($open($problem, $centre)->minutesBetween($sunday, $sunday + 600))->toBe(0)
        ->and($open($with, $centre)->minutesBetween($sunday, $sunday + 600))->toBe(240)
        ->and($open($with, $centre)->isOpen($sunday))->toBeTrue()
        ->and($open($with, $centre)->isOpen($sunday + 240))->toBeFalse();
    foreach (array_diff(array_keys($problem->workCentres), [$centre]) as $other) {
        expect($open($with, $other))->toEqual($open($problem, $other));
    }
});

it('changes nothing where what it is about is gone', function (LeverKind $kind) {
    $this->shop->order('TRAY-40', '4');
    $problem = StandingPlan::of()->problem();
    $gone = new PlanLever($kind, 'Gone', 99_999, 99_999, 99_999, [['2026-11-29', '10:00', '14:00']], 4, 0,
        new DoneHere(5, 60, 1, 1), [99_999 => [29_000_000, []]]);
    expect($gone->on($problem)->workCentres)->toEqual($problem->workCentres)
        ->and($gone->on($problem)->jobs)->toEqual($problem->jobs);
})->with([
    LeverKind::Overtime, LeverKind::Machine, LeverKind::Split, LeverKind::SendOut, LeverKind::BringIn,
    LeverKind::Other, LeverKind::Material,
]);

it('does a step here with no more people than the work centre has', function () {
    $this->shop->order('DRUM-9', '10');
    $problem = StandingPlan::of()->problem();
    $step = array_values(array_filter(
        $problem->jobs[0]->steps,
        fn (Step $one): bool => $one->workCentre === null,
    ))[0];
    $centre = WorkCentre::query()->where('code', 'BENCH')->firstOrFail()->id;
    $heads = count($problem->crews[$centre]->persons ?? []);
    $lever = new PlanLever(
        LeverKind::BringIn,
        'Here',
        centre: $centre,
        step: $step->id,
        here: new DoneHere(15, 60, 99, 99),
    );
    $done = stepOfProblem($lever->on($problem), $step->id);
    expect([$done->workCentre, $done->setup, $done->minutes])->toBe([$centre, 15, 60])
        ->and([$done->crewing?->setup, $done->crewing?->run])->toBe($heads === 0 ? [null, null] : [$heads, $heads]);
});

it('goes first what helps its order, then what helps all, and without a place last', function () {
    $offer = fn (?int $with, int $lateWith): LeverOffer => LeverOffer::of(
        new PlanLever(LeverKind::Machine, "{$with} {$lateWith}"),
        new LeverEffect(2000, $with, 500, $lateWith, new Schedule([], [], [], [])),
    );
    $offers = [$offer(null, 0), $offer(1800, 300), $offer(900, 450), $offer(1000, 400), $offer(1800, 200)];
    usort($offers, fn (LeverOffer $a, LeverOffer $b): int => $a->place(1000) <=> $b->place(1000));
    // in time either way, the one with less lateness for all goes first
    expect(array_map(fn (LeverOffer $one): string => $one->lever->says, $offers))
        ->toBe(['1000 400', '900 450', '1800 200', '1800 300', ' 0'])
        ->and(array_map(fn (LeverOffer $one): bool => $one->isSooner(), $offers))
        ->toBe([true, true, true, true, false]);
});
