<?php

namespace App\Actions\Schedule;

use App\Books\Ledger;
use App\Books\Signed;
use App\Models\Booking;
use App\Models\BookingKind;
use App\Models\Plan;
use App\Queries\Board\PlanComparison;
use App\Shop\LeverKind;
use App\Shop\PlanLever;
use App\Shop\StandingPlan;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Refused;
use KeepPace\Core\Scheduling\Plan\PlanRefused;

/**
 * A what-if becomes the live plan, and what its levers took to be so becomes a fact: one deed, and one undo.
 *
 * @phpstan-import-type Fact from Facts
 */
final class GoLive
{
    public function __construct(private readonly PlanChanges $changes, private readonly Facts $facts)
    {
    }

    /** @throws Refused when facts changed since it was worked out, or a lever is nothing a plan can make true */
    public function handle(int $planId, ?int $seen, Signed $signed): Booking
    {
        return $this->changes->make(BookingKind::WentLive, Plan::LIVE, $seen, $signed,
            function (Ledger $ledger, StandingPlan $live, \ArrayObject $facts) use ($planId): \Closure {
                $plan = Plan::query()->where('is_live', false)->lockForUpdate()->find($planId)
                    ?? throw PlanRefused::whatIfGone();
                if (PlanComparison::facts($ledger->booking->id) > (int) $plan->booking_id) {
                    throw PlanRefused::bookedSince();
                }
                foreach (PlanLever::ofPlan($plan) as $lever) {
                    if (! $lever->kind->canBeFact()) {
                        throw PlanRefused::neverFact($lever->says);
                    }
                    foreach ($this->becomesFact($lever, $ledger->booking) as $fact) {
                        $facts[] = $fact;
                    }
                }
                $this->facts->doAgain(array_values($facts->getArrayCopy()));
                $other = StandingPlan::of($planId);
                $this->changes->setPins(Plan::LIVE, $other->pins());
                $ledger->says("Went live: {$plan->name}.");

                return StandingPlan::keeping($other->steps() + $live->steps());
            }, self::orders(Plan::query()->find($planId)));
    }

    /**
     * Whose rank or steps the levers change.
     *
     * @return list<int>
     */
    private static function orders(?Plan $plan): array
    {
        $orders = [];
        foreach ($plan === null ? [] : PlanLever::ofPlan($plan) as $lever) {
            if (in_array($lever->kind, [LeverKind::Rank, LeverKind::Split], true)) {
                $orders[] = $lever->order;
            }
            if ($lever->kind === LeverKind::Rank) {
                array_push($orders, ...self::first($lever->order));
            }
        }

        return $orders;
    }

    /**
     * Orders that make room where one goes before the first of all.
     *
     * @return list<int>
     */
    private static function first(int $order): array
    {
        return array_values(
            DB::table('orders')
                ->whereIn('state', OrderState::OPEN)
                ->where('id', '<>', $order)
                ->where('rank', 0)
                ->pluck('id')
                ->all(),
        );
    }

    /** @return list<Fact> */
    private function becomesFact(PlanLever $lever, Booking $booking): array
    {
        return match ($lever->kind) {
            LeverKind::Overtime => array_map(
                fn (array $span): array => [
                    'table' => 'overtimes',
                    'row' => [
                        'work_centre_id' => $lever->centre,
                        'from_at' => self::utc($span[0], $span[1]),
                        'until_at' => self::utc($span[0], $span[2]),
                        'reason' => mb_strimwidth($lever->says, 0, 200, '…'),
                        'booking_id' => $booking->id,
                    ],
                ],
                $lever->spans,
            ),
            LeverKind::Rank => $this->rank($lever->order),
            LeverKind::Split => $this->halves($lever->order),
            default => [], // a step on another work centre is the plan's own affair
        };
    }

    /** @return list<Fact> before all others: where the best rank is 0, the others make room */
    private function rank(int $order): array
    {
        $was = (int) DB::table('orders')->where('id', $order)->value('rank');
        $best = (int) DB::table('orders')->whereIn('state', OrderState::OPEN)->where('id', '<>', $order)->min('rank');
        $facts = [];
        foreach ($best > 0 ? [] : self::first($order) as $id) {
            $facts[] = ['table' => 'orders', 'id' => $id, 'column' => 'rank', 'before' => 0, 'after' => 1];
        }

        return [
            ...$facts,
            ['table' => 'orders', 'id' => $order, 'column' => 'rank', 'before' => $was, 'after' => max(0, $best - 1)],
        ];
    }

    /** @return list<Fact> */
    private function halves(int $order): array
    {
        $half = BigDecimal::of((string) DB::table('orders')->where('id', $order)->value('quantity'))->dividedBy(
            2,
            0,
            RoundingMode::CEILING,
        );

        return array_values(
            DB::table('order_steps')
                ->where('order_id', $order)
                ->whereNull('transfer_quantity')
                ->whereNull('supplier_id')
                ->pluck('id')
                ->map(
                    fn (int $step): array => [
                        'table' => 'order_steps',
                        'id' => $step,
                        'column' => 'transfer_quantity',
                        'before' => null,
                        'after' => (string) $half->toScale(6),
                    ],
                )
                ->all(),
        );
    }

    private static function utc(string $date, string $time): string
    {
        return (new \DateTimeImmutable("{$date} {$time}", new \DateTimeZone(config()->string('pace.zone'))))
            ->setTimezone(new \DateTimeZone('UTC'))
            ->format('Y-m-d H:i:s');
    }
}
