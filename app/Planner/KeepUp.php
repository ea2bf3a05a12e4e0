<?php

namespace App\Planner;

use App\Books\Booked;
use App\Books\JustBooked;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Brings the live plan up to date with the facts: every machine keeps its sequence, only times are worked out again.
 * The plan is computed, so it can be thrown away and made again.
 *
 * In the shop a planner of its own follows the bookings (PlanRound); here it is done at once, under the plan's lock:
 * for deeds whose answer is the plan, and for all where no planner runs beside (commands).
 */
final class KeepUp
{
    private bool $suspended = false;

    /** While suspended, somebody had all loaded by rank. */
    private bool $anew = false;

    public function __construct(
        private readonly PlanWriter $writer,
        private readonly JustBooked $just,
        private readonly PlannerState $state,
    ) {
    }

    /** The booking stands whatever becomes of the plan: a failure here is reported, not thrown. */
    public function after(Booked $event): void
    {
        $kind = $event->booking->kind;
        if ($this->isSuspended()) {
            $this->anew = $this->anew || $kind === BookingKind::LoadedByRank;
        } elseif ($kind->changesFacts() && ($kind->isAnsweredByPlan() || ! PlannerState::isBeside())) {
            $this->catchUp();
        }
    }

    /** Plans what was booked since. */
    public function catchUp(): void
    {
        $this->unlessItBreaks(fn () => $this->handle());
    }

    /** What was booked stands: that the plan is behind is said, and logged. */
    private function unlessItBreaks(\Closure $planning): void
    {
        try {
            $planning();
            $this->just->behind = null;
        } catch (\Throwable $failure) {
            report($failure);
            $this->state->failed($failure);
            $this->just->behind = JustBooked::PLAN;
        }
    }

    public function isSuspended(): bool
    {
        return $this->suspended;
    }

    /** Runs many bookings (an import, the demo's story) with one keeping up at the end. */
    public function atTheEnd(\Closure $work): void
    {
        $this->suspended = true;
        $this->anew = false;
        try {
            $work();
        } finally {
            $this->suspended = false;
        }
        $this->unlessItBreaks(fn () => $this->handle($this->anew));
    }

    /** @param  bool  $anew  all loaded by rank instead of in the sequences they have */
    public function handle(bool $anew = false): void
    {
        $began = microtime(true);
        DB::transaction(function () use ($anew, $began): void {
            $plan = Plan::lockLive();
            $bookings = Unplanned::ids(); // before the facts are read: what is booked meanwhile stays unplanned
            $draft = $this->draft($plan, $anew);
            $this->finish($plan, $draft, $bookings, $began);
        }, attempts: 5);
        $this->state->wentWell();
    }

    public function draft(Plan $plan, bool $anew = false): PlanDraft
    {
        $standing = StandingPlan::of($plan->id);
        $shop = ShopState::now();
        $was = $standing->steps();
        [$problem, $schedule] = $standing->loadNow($shop, fn (Problem $problem): Schedule => $anew
            ? ForwardLoading::load($problem, $was) : KeptSequence::load($problem, $was));

        return PlanDraft::of($plan, $shop, $problem, $schedule, $plan->input, $standing);
    }

    /**
     * Writes it. The plan's row is locked.
     *
     * @param  list<int>  $bookings  whose facts it knows
     */
    public function finish(Plan $plan, PlanDraft $draft, array $bookings, float $began): void
    {
        $plan->booking_id = $bookings === [] ? $plan->booking_id : max($bookings);
        $plan->milliseconds = (int) ((microtime(true) - $began) * 1000);
        $this->writer->write($plan, $draft);
        PlanRuns::keep($draft, $bookings);
        Unplanned::planned($bookings);
    }
}
