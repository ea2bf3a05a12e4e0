<?php

namespace App\Actions\Schedule;

use App\Books\Bookings;
use App\Books\Held;
use App\Books\Ledger;
use App\Books\Needs;
use App\Books\Part;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Reading\Row;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\PlanRefused;

/**
 * Takes back the last deed on a plan, or does it again. Plans only: what was booked in the shop stays, and its times
 * are worked out anew.
 */
final class UndoPlan
{
    public function __construct(
        private readonly Bookings $bookings,
        private readonly PlanChanges $changes,
        private readonly Facts $facts,
    ) {
    }

    /** @throws Refused when there is nothing to take back */
    public function undo(int $planId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::PlanUndone, $signed, new Part(
            fn (): Needs => $this->needs($planId, false),
            function (Ledger $ledger, Held $held) use ($planId): void {
                PlanChanges::touch($ledger, $held);
                $plan = Plan::query()->lockForUpdate()->findOrFail($planId);
                $change = $this->last($planId, false) ?? throw PlanRefused::nothingToUndo();
                $standing = StandingPlan::of($planId);
                $after = Arrangement::pack($standing->steps(), $standing->pins());
                $this->facts->takeBack($change->facts);
                $this->arrange($plan, $standing, $change->before, $ledger);
                DB::table('plan_changes')->where('id', $change->id)->update(['is_undone' => true, 'after' => $after]);
                $plan->change_id = $this->last($planId, false)?->id;
                $plan->save();
                $ledger->says("Undone: {$change->says}");
            },
        ));
    }

    /** @throws Refused when nothing was undone */
    public function redo(int $planId, Signed $signed): Booking
    {
        return $this->bookings->once(BookingKind::PlanUndone, $signed, new Part(
            fn (): Needs => $this->needs($planId, true),
            function (Ledger $ledger, Held $held) use ($planId): void {
                PlanChanges::touch($ledger, $held);
                $plan = Plan::query()->lockForUpdate()->findOrFail($planId);
                $change = $this->last($planId, true) ?? throw PlanRefused::nothingToRedo();
                $this->facts->doAgain($change->facts);
                $this->arrange($plan, StandingPlan::of($planId), $change->after, $ledger);
                DB::table('plan_changes')->where('id', $change->id)->update(['is_undone' => false]);
                $plan->change_id = $change->id;
                $plan->save();
                $ledger->says("Done again: {$change->says}");
            },
        ));
    }

    private function needs(int $planId, bool $undone): Needs
    {
        return Needs::orders($this->facts->orders($this->last($planId, $undone)->facts ?? []));
    }

    private function arrange(Plan $plan, StandingPlan $standing, string $packed, Ledger $ledger): void
    {
        [$steps, $pins] = Arrangement::unpack($packed);
        $this->changes->setPins(
            $plan->id,
            array_filter(
                $pins,
                fn (int $step): bool => DB::table('order_steps')->where('id', $step)->exists(),
                ARRAY_FILTER_USE_KEY,
            ),
        );
        // what came into the plan since keeps the place it has
        $this->changes->bring($plan, $standing, StandingPlan::keeping($steps + $standing->steps()), $ledger->booking);
    }

    /** The last deed not undone; or the first of those undone. */
    private function last(int $plan, bool $undone): ?PlanDeed
    {
        $deeds = DB::table('plan_changes AS c')
            ->join('booking_says AS s', 's.booking_id', 'c.booking_id')
            ->where('c.plan_id', $plan)
            ->where('c.is_undone', $undone)
            ->orderBy('c.id', $undone ? 'asc' : 'desc')
            ->select(['c.id', 'c.before', 'c.after', 'c.facts', 's.says']);

        return Row::first($deeds, PlanDeed::from(...));
    }
}
