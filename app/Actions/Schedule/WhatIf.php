<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Ledger;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Person;
use App\Models\Plan;
use App\Planner\PlanDraft;
use App\Planner\PlanWriter;
use App\Planner\Unplanned;
use App\Queries\Board\PlanComparison;
use App\Shop\LeverOffers;
use App\Shop\PlanLever;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\PlannedStep;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Plans beside the live one: made as a copy, by a lever or by a search; worked out again; thrown away. Nothing in the
 * shop follows them.
 */
final class WhatIf
{
    /** Each is written whole, and people compare a handful. */
    private const MOST = 12;

    private const TABLES = [
        'plan_changes', 'plan_pins', 'plan_orders', 'plan_steps', 'plan_components', 'plan_inputs',
    ];

    public function __construct(private readonly Bookings $bookings, private readonly PlanWriter $writer)
    {
    }

    /** @throws Refused when as many are kept as may be */
    public static function assertRoom(): void
    {
        if (Plan::query()->where('is_live', false)->count() >= self::MOST) {
            throw PlanRefused::noRoom(self::MOST);
        }
    }

    /** @throws Refused */
    public function copy(string $name, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::WhatIf, $signed, Part::writing(function (Ledger $ledger) use (
            $name,
            $signed,
        ): void {
            $plan = $this->add(
                $name === '' ? 'Copy of the live plan' : $name,
                'A copy of the live plan.',
                [],
                $signed->person,
                StandingPlan::of()->steps(),
                null,
            );
            $ledger->says("What-if made: {$plan->name}.");
        }));
    }

    /**
     * One lever tried on the live plan.
     *
     * @throws Refused
     */
    public function tryLever(int $order, PlanLever $lever, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::WhatIf, $signed, Part::writing(function (Ledger $ledger) use (
            $order,
            $lever,
            $signed,
        ): void {
            $standing = StandingPlan::of();
            $effect = LeverOffers::effect($standing, LeverOffers::trials($standing, $order), $lever);
            $plan = $this->add(
                mb_strimwidth($lever->says, 0, 58, '…'),
                "{$lever->says}.",
                [$lever],
                $signed->person,
                $effect->schedule->steps,
                null,
            );
            $ledger->booking->order_id = $order;
            $ledger->says("What-if made: {$plan->name}.");
        }));
    }

    /**
     * What a search came to.
     *
     * @param  array<int, PlannedStep>  $steps
     * @param  int|null  $facts  the newest booking the search knew of
     */
    public function found(string $name, string $says, Person $by, array $steps, ?int $facts): Plan
    {
        return DB::transaction(fn (): Plan => $this->add($name, $says, [], $by, $steps, $facts), attempts: 5);
    }

    /**
     * Over the facts of now, in the sequences it has.
     *
     * @throws Refused
     */
    public function again(int $planId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::WhatIf, $signed, Part::writing(
            function (Ledger $ledger) use ($planId): void {
                $plan = $this->locked($planId);
                $standing = StandingPlan::of($planId);
                $this->write($plan, $standing->steps(), PlanComparison::facts());
                $ledger->says("What-if worked out again: {$plan->name}.");
            },
        ));
    }

    /** @throws Refused */
    public function discard(int $planId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::WhatIf, $signed, Part::writing(
            function (Ledger $ledger) use ($planId): void {
                $plan = $this->locked($planId);
                DB::table('searches')->where('plan_id', $planId)->update(['plan_id' => null]);
                foreach (self::TABLES as $table) {
                    DB::table($table)->where('plan_id', $planId)->delete();
                }
                $plan->delete();
                $ledger->says("What-if thrown away: {$plan->name}.");
            },
        ));
    }

    /**
     * @param  list<PlanLever>  $levers
     * @param  array<int, PlannedStep>  $steps
     */
    private function add(string $name, string $says, array $levers, Person $by, array $steps, ?int $facts): Plan
    {
        self::assertRoom();
        $plan = Plan::query()
            ->create([
                'name' => mb_strimwidth($name, 0, 60, '…'),
                'says' => mb_strimwidth($says, 0, 300, '…'),
                'is_live' => false,
                'levers' => json_encode(array_map(fn (PlanLever $lever): array => $lever->kept(), $levers)),
                'person_id' => $by->id,
                'made_at' => now(),
            ])
            ->refresh();
        DB::table('plan_pins')->insertUsing(
            ['plan_id', 'order_step_id', 'work_centre_id', 'machine', 'start_at'],
            DB::table('plan_pins')
                ->where('plan_id', Plan::LIVE)
                ->selectRaw('?, order_step_id, work_centre_id, machine, start_at', [$plan->id]),
        );
        $this->write($plan, $steps, $facts ?? PlanComparison::facts());

        return $plan;
    }

    /** @param  array<int, PlannedStep>  $steps */
    private function write(Plan $plan, array $steps, ?int $facts): void
    {
        $standing = StandingPlan::of($plan->id);
        $known = Unplanned::facts(); // before they are read
        $shop = $standing->shop();
        [$problem, $schedule] = $standing->loadNow(
            $shop,
            fn (Problem $problem): Schedule => KeptSequence::load($problem, $steps),
        );
        $plan->booking_id = $facts;
        $this->writer->write($plan, PlanDraft::of($plan, $shop, $problem, $schedule, $known));
    }

    private function locked(int $id): Plan
    {
        return Plan::query()->where('is_live', false)->lockForUpdate()->find($id)
            ?? throw PlanRefused::whatIfGone();
    }
}
