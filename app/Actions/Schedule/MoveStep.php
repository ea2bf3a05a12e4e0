<?php

namespace App\Actions\Schedule;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Shop\StandingPlan;
use App\Shop\StepName;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\Drop;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\Plan\Put;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/** Puts a step at a place in a machine's sequence, or pins it to a minute there. */
final class MoveStep
{
    public function __construct(private readonly PlanChanges $changes)
    {
    }

    /**
     * @param  Put  $put  it goes before or behind what stands there
     * @param  bool  $pin  it stays at that minute, whatever happens around it
     *
     * @throws Refused
     */
    public function handle(int $planId, Put $put, bool $pin, ?int $seen, Signed $signed): Booking
    {
        return $this->changes->make(
            $pin ? BookingKind::StepPinned : BookingKind::StepMoved,
            $planId,
            $seen,
            $signed,
            function (Ledger $ledger, StandingPlan $standing) use ($planId, $put, $pin): \Closure {
                $this->assertCanStand($standing, $put, $pin);
                DB::table('plan_pins')->where('plan_id', $planId)->where('order_step_id', $put->step)->delete();
                $name = StepName::of($put->step);
                $ledger->booking->order_id = $name->orderId;
                $where = DB::table('work_centres')->where('id', $put->workCentre)->value('name')." {$put->machine}";
                ! $pin ?: $this->pin($planId, $put);
                $ledger->says(
                    "{$name->label} "
                        .($pin ? "pinned on {$where}, " : "moved to {$where}, put at ")
                        .self::clock($put->minute)
                        .'.',
                );
                $was = $standing->steps();

                return static fn (Problem $problem): Schedule => KeptSequence::moved($problem, $was, $put);
            },
        );
    }

    /** @throws PlanRefused */
    private function assertCanStand(StandingPlan $standing, Put $put, bool $pin): void
    {
        $drop = Drop::of($standing->problem(), $put) ?? throw PlanRefused::noPlace();
        $why = $drop->impossible();
        if ($why !== null) {
            throw PlanRefused::because($why);
        }
        $against = $pin ? $drop->against($standing->steps()) : [];
        if ($against !== []) {
            throw PlanRefused::notPinned($against);
        }
    }

    private function pin(int $planId, Put $put): void
    {
        DB::table('plan_pins')->insert([
            'plan_id' => $planId,
            'order_step_id' => $put->step,
            'work_centre_id' => $put->workCentre,
            'machine' => $put->machine,
            'start_at' => gmdate('Y-m-d H:i:s', $put->minute * 60),
        ]);
    }

    /**
     * Takes a pin out; the step stays in its sequence.
     *
     * @throws Refused
     */
    public function unpin(int $planId, int $stepId, ?int $seen, Signed $signed): Booking
    {
        return $this->changes->make(BookingKind::StepPinned, $planId, $seen, $signed, function (
            Ledger $ledger,
            StandingPlan $standing,
        ) use ($planId, $stepId): \Closure {
            if (DB::table('plan_pins')->where('plan_id', $planId)->where('order_step_id', $stepId)->delete() === 0) {
                throw PlanRefused::noPin();
            }
            $name = StepName::of($stepId);
            $ledger->booking->order_id = $name->orderId;
            $ledger->says("{$name->label}: the pin is out.");

            return StandingPlan::keeping($standing->steps());
        });
    }

    private static function clock(int $minute): string
    {
        return (new \DateTimeImmutable('@'.$minute * 60))
            ->setTimezone(new \DateTimeZone(config()->string('pace.zone')))
            ->format('D j M H:i');
    }
}
