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
use App\Models\Person;
use App\Models\Plan;
use App\Planner\KeepUp;
use App\Planner\PlanDraft;
use App\Planner\PlanWriter;
use App\Planner\Unplanned;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Pin;
use KeepPace\Core\Scheduling\Plan\PlanRefused;
use KeepPace\Core\Scheduling\Problem;
use KeepPace\Core\Scheduling\Schedule;

/**
 * The one way a person changes a plan: locked, told apart from what others did meanwhile, kept with what stood before
 * it so that it can be undone.
 *
 * @phpstan-import-type Fact from Facts
 */
final class PlanChanges
{
    /** So many deeds back a plan can be brought. */
    private const KEPT = 60;

    public function __construct(
        private readonly Bookings $bookings,
        private readonly PlanWriter $writer,
        private readonly KeepUp $keepUp,
    ) {
    }

    /**
     * @param  int|null  $seen  the last deed on the plan that the person saw; null = any
     * @param  \Closure(
     *     Ledger,
     *     StandingPlan,
     *     \ArrayObject<int, Fact>,
     * ): (\Closure(Problem): Schedule)  $work
     *     checks, sets pins, says, lists the facts it changed; its answer loads the facts of now
     * @param  list<int>  $orders  whose facts it changes: locked before the plan
     *
     * @throws Refused
     */
    public function make(
        BookingKind $kind,
        int $planId,
        ?int $seen,
        Signed $signed,
        \Closure $work,
        array $orders = [],
    ): Booking {
        return $this->bookings->once($kind, $signed, new Part(
            Needs::orders($orders),
            function (Ledger $ledger, Held $held) use (
                $planId,
                $seen,
                $work,
                $signed,
            ): void {
                self::touch($ledger, $held);
                $plan = Plan::query()->lockForUpdate()->find($planId)
                    ?? throw PlanRefused::planGone();
                $standing = StandingPlan::of($planId);
                $this->assertSeen($plan, $seen, $signed->person);
                $pins = $standing->pins();
                $before = Arrangement::pack($standing->steps(), $pins);
                $facts = new \ArrayObject;
                $load = $work($ledger, $standing, $facts);
                if ($this->keepUp->isSuspended() && $planId === Plan::LIVE) {
                    return; // once, when all is booked
                }
                $isSame = count($facts) === 0 && $standing->pins() == $pins;
                $this->bring($plan, $standing, $load, $ledger->booking, $isSame);
                $this->keep($plan, $ledger->booking, $signed, $before, $facts->getArrayCopy());
            },
        ));
    }

    /**
     * What stood before the deed, so that it can be undone; a new deed ends what could be redone.
     *
     * @param  array<int, Fact>  $facts
     */
    private function keep(Plan $plan, Booking $booking, Signed $signed, string $before, array $facts): void
    {
        $plan->change_id = DB::table('plan_changes')->insertGetId([
            'plan_id' => $plan->id,
            'booking_id' => $booking->id,
            'person_id' => $signed->person->id,
            'before' => $before,
            'facts' => json_encode($facts),
        ]);
        $plan->save();
        DB::table('plan_changes')->where('plan_id', $plan->id)->where('is_undone', true)->delete();
        $this->forgetOld($plan->id);
    }

    /**
     * Brings a plan to a schedule of the facts as they are now.
     *
     * @param  callable(Problem): Schedule  $load
     * @param  bool  $samePins  the deed changed neither pin nor fact: what the plan was computed from still holds
     */
    public function bring(
        Plan $plan,
        StandingPlan $standing,
        callable $load,
        Booking $booking,
        bool $samePins = false,
    ): void {
        $kept = $samePins ? $standing->kept() : null;
        $facts = Unplanned::facts(); // before they are read
        $isFresh = $kept !== null && $kept->isFresh($facts, ShopState::minute(now()));
        if ($isFresh) {
            [$shop, $problem, $schedule] = [$kept->shop(), $kept->problem, $load($kept->problem)];
        } else {
            $shop = $standing->shop();
            [$problem, $schedule] = $standing->loadNow($shop, $load);
        }
        $plan->booking_id = $booking->id;
        $draft = PlanDraft::of($plan, $shop, $problem, $schedule, $isFresh ? null : $facts, $standing);
        $this->writer->write($plan, $draft);
    }

    /** Orders whose facts a deed on a plan changes get another version with it. */
    public static function touch(Ledger $ledger, Held $held): void
    {
        $held->orders->each($ledger->touch(...));
    }

    /**
     * Sets a plan's pins to these.
     *
     * @param  array<int, array{int, Pin}>  $pins
     */
    public function setPins(int $plan, array $pins): void
    {
        DB::table('plan_pins')->where('plan_id', $plan)->delete();
        foreach ($pins as $step => [$centre, $pin]) {
            DB::table('plan_pins')->insert(['plan_id' => $plan, 'order_step_id' => $step, 'work_centre_id' => $centre,
                'machine' => $pin->machine, 'start_at' => gmdate('Y-m-d H:i:s', $pin->start * 60)]);
        }
    }

    /** @throws Refused when somebody else arranged the plan since the person looked at it */
    private function assertSeen(Plan $plan, ?int $seen, Person $by): void
    {
        if ($seen === null || $seen === (int) $plan->change_id) {
            return;
        }
        $last = DB::table('plan_changes AS c')
            ->join('booking_says AS s', 's.booking_id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'c.person_id')
            ->where('c.plan_id', $plan->id)
            ->where('c.id', '>', $seen)
            ->where('c.person_id', '<>', $by->id)
            ->orderByDesc('c.id')
            ->first(['s.says', 'u.name']);
        if ($last !== null) {
            throw PlanRefused::changedMeanwhile($last->name, $last->says);
        }
    }

    private function forgetOld(int $plan): void
    {
        $oldest = DB::table('plan_changes')->where('plan_id', $plan)->orderByDesc('id')->skip(self::KEPT)->value('id');
        if ($oldest !== null) {
            DB::table('plan_changes')->where('plan_id', $plan)->where('id', '<=', $oldest)->delete();
        }
    }
}
