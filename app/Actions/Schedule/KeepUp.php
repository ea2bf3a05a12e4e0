<?php

namespace App\Actions\Schedule;

use App\Actions\Bookings\JustBooked;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Queries\Board\StandingPlan;
use App\Queries\Shop\ShopState;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\ForwardLoading;
use KeepPace\Core\Scheduling\Plan\KeptSequence;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * Brings the live plan up to date with the facts: every machine keeps its sequence, only times are worked out again.
 * The plan is computed, so it can be thrown away and made again.
 */
final class KeepUp
{
    private bool $suspended = false;

    /** While suspended, somebody had all loaded by rank. */
    private bool $anew = false;

    public function __construct(private readonly PlanWriter $writer, private readonly JustBooked $just)
    {
    }

    /** After a booking. The booking stands whatever becomes of the plan: a failure here is reported, not thrown. */
    public function after(Booking $booking): void
    {
        if ($this->isSuspended()) {
            $this->anew = $this->anew || $booking->kind === BookingKind::LoadedByRank;

            return;
        }
        if ($booking->kind->isOfPlan()) {
            return; // a deed on a plan has written it already
        }
        $this->unlessItBreaks(fn () => $this->handle($booking->id));
    }

    /** What was booked stands: that the plan is behind is said, and logged. */
    private function unlessItBreaks(\Closure $planning): void
    {
        try {
            $planning();
            $this->just->behind = null;
        } catch (\Throwable $failure) {
            report($failure);
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
        $this->unlessItBreaks(fn () => $this->handle(null, $this->anew));
    }

    /** @param  int|null  $bookingId  what it is brought up to date by; null = the clock */
    public function handle(?int $bookingId, bool $anew = false): void
    {
        $began = microtime(true);
        DB::transaction(function () use ($bookingId, $anew, $began): void {
            $plan = Plan::lockLive();
            $standing = StandingPlan::of();
            $shop = ShopState::now();
            $was = $standing->steps();
            [$problem, $schedule] = $standing->loadNow($shop, fn (Problem $problem): Schedule => $anew
                ? ForwardLoading::load($problem, $was) : KeptSequence::load($problem, $was));
            $plan->booking_id = $bookingId ?? $plan->booking_id;
            $effect = $this->writer->write($plan, $shop, $problem, $schedule, $standing->rows());
            $plan->milliseconds = (int) ((microtime(true) - $began) * 1000);
            $plan->save();
            if ($bookingId !== null && $effect !== ['late' => [], 'saved' => []]) {
                DB::table('plan_effects')->updateOrInsert(['booking_id' => $bookingId],
                    ['late' => json_encode((object) $effect['late']), 'saved' => json_encode($effect['saved'])]);
            }
        }, attempts: 5);
    }
}
