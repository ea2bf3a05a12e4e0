<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Shop\PlantDay;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Wording\When;
use Carbon\CarbonImmutable;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Plan\DailyLoad;
use KeepPace\Core\Scheduling\Plan\QuietTime;
use KeepPace\Core\Scheduling\Plan\Wanted;
use KeepPace\Core\Scheduling\Problem;

/**
 * A whole plan for the board's script: what stands where, open time, load by day. Times are UTC minutes; drawn is only
 * what is in view.
 *
 * @phpstan-type Centre array{
 *     id: int, name: string, machines: int, open: int, own: object, fence: int, loadSize: int,
 * }
 */
final class BoardData
{
    /**
     * @return array{
     *     plan: array{id: int, name: string, live: bool, seen: int, computed: int|null, stamp: string},
     *     orders: array<int, array{late: int, customer: string, item: string}>,
     *     bars: list<list<int|string|list<int>>>,
     *     zone: mixed, now: int, from: int, to: int, days: list<int>, quiet: mixed, calendars: mixed, centres: mixed,
     *     done: mixed, was: mixed, held: mixed, away: object, likely: mixed,
     * }
     */
    public static function of(int $planId = Plan::LIVE): array
    {
        $standing = StandingPlan::of($planId);
        $problem = $standing->problem();
        $now = CarbonImmutable::now();
        $bars = BoardBars::of($planId);
        $done = DoneWork::lately($now);
        $from = min([$bars->from($problem->now), ...array_column($done, 'from')]);
        $days = self::days($from, $bars->to($problem->now));
        [$calendars, $centres] = self::centres($problem, $days);
        [$first, $last] = [$days[0], $days[count($days) - 1]];

        return [
            'plan' => self::plan($standing->plan),
            'zone' => When::zone(),
            'now' => ShopState::minute($now),
            'from' => $first,
            'to' => $last,
            'days' => $days,
            'day' => PlantDay::minutes(),
            'quiet' => QuietTime::of($problem->workCentres, $first, $last),
            'calendars' => $calendars,
            'centres' => self::withLoad($problem, $centres, $standing, $days),
            'bars' => $bars->drawn(),
            'done' => array_map(fn (DoneWork $work): array => $work->drawn(), $done),
            'was' => array_map(fn (StoodAt $at): array => $at->drawn(), StoodAt::all($planId)),
            'orders' => BoardOrders::of($planId, $problem),
            'held' => BoardBars::held(),
            'away' => (object) $bars->away(),
            'likely' => $bars->likely,
        ];
    }

    /** @return array{id: int, name: string, live: bool, seen: int, computed: int|null, stamp: string} */
    private static function plan(Plan $plan): array
    {
        return [
            'id' => $plan->id,
            'name' => $plan->name,
            'live' => $plan->is_live,
            'seen' => (int) $plan->change_id,
            'computed' => $plan->computed_at === null ? null : ShopState::minute($plan->computed_at),
            'stamp' => $plan->stamp,
        ];
    }

    /** @return list<int> midnights of the plant around a span */
    public static function days(int $from, int $to): array
    {
        $days = [];
        for ($day = When::local($from)->startOfDay(); ; $day = $day->addDay()) {
            $days[] = ShopState::minute($day);
            if (end($days) >= $to) {
                return $days;
            }
        }
    }

    /**
     * @param  list<int>  $days
     * @return array{array<int, list<array{int, int}>>, list<Centre>}
     */
    private static function centres(Problem $problem, array $days): array
    {
        $calendars = $centres = $known = [];
        $key = static function (OpenWindows $open) use (&$calendars, &$known, $days): int {
            $id = spl_object_id($open);
            if (! isset($known[$id])) {
                $known[$id] = count($calendars);
                $spans = [];
                foreach ($open->starts as $i => $start) {
                    if ($open->ends[$i] > $days[0] && $start < $days[count($days) - 1]) {
                        $spans[] = [$start, $open->ends[$i]];
                    }
                }
                $calendars[] = $spans;
            }

            return $known[$id];
        };
        foreach ($problem->workCentres as $id => $centre) {
            $centres[] = [
                'id' => $id,
                'name' => $centre->name,
                'machines' => max(1, $centre->machines),
                'open' => $key($centre->open),
                'own' => (object) array_map($key, $centre->ownOpen),
                'fence' => $centre->fence,
                'loadSize' => $centre->batch,
            ];
        }

        return [$calendars, $centres];
    }

    /**
     * @param  list<Centre>  $centres
     * @param  list<int>  $days
     * @return list<array<string, mixed>>
     */
    private static function withLoad(Problem $problem, array $centres, StandingPlan $standing, array $days): array
    {
        $planned = DailyLoad::of($problem, $standing->steps(), $days);
        $wanted = DailyLoad::of($problem, Wanted::of($problem), $days);
        $capacity = DailyLoad::capacity($problem, $days);

        return array_map(
            fn (array $centre): array => [
                ...$centre,
                'load' => $planned[$centre['id']],
                'wanted' => $wanted[$centre['id']],
                'capacity' => $capacity[$centre['id']],
            ],
            $centres,
        );
    }
}
