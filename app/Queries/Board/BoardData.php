<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Handful;
use App\Shop\HeldPromises;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Shop\StepWays;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Calendar\OpenWindows;
use KeepPace\Core\Scheduling\Plan\DailyLoad;
use KeepPace\Core\Scheduling\Plan\Wanted;
use KeepPace\Core\Scheduling\Problem;

/**
 * A whole plan for the board's script: what stands where, open time, load by day. Times are UTC minutes; drawn is only
 * what is in view.
 */
final class BoardData
{
    /** @return array<string, mixed> */
    public static function of(int $planId = Plan::LIVE): array
    {
        $standing = StandingPlan::of($planId);
        $problem = $standing->problem();
        $deliveries = Deliveries::now();
        $away = self::away($deliveries);
        $bars = self::barsOf($planId, $away);
        $from = min([$problem->now, ...array_column($bars, 3)]);
        $to = max([$problem->now + 7 * 1440, ...array_column($bars, 5)]);
        $days = self::days($from, $to);
        [$calendars, $centres] = self::centres($problem, $days);

        return [
            'plan' => self::plan($standing->plan),
            'zone' => When::zone(),
            'now' => ShopState::minute(CarbonImmutable::now()),
            'from' => $days[0],
            'to' => $days[count($days) - 1],
            'days' => $days,
            'calendars' => $calendars,
            'centres' => self::withLoad($problem, $centres, $standing, $days),
            'bars' => $bars,
            'orders' => self::orders($planId, $problem),
            'held' => self::held(),
            'away' => (object) array_map(self::backs(...), $away),
            'likely' => self::likely($deliveries),
        ];
    }

    /** @return array<string, mixed> */
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

    /** @return list<array{on: string, says: string}> days somebody names when asked when something is back */
    private static function likely(Deliveries $deliveries): array
    {
        return array_map(
            fn (string $day): array => ['on' => $day, 'says' => When::day($day)],
            $deliveries->likely(),
        );
    }

    /**
     * What stands in a plan, one row a step; which column is what, the board's script says.
     *
     * @param  array<int, list<Handful>>  $away  by step
     * @return list<array{
     *     mixed, int, int, int, int, int, mixed, mixed, mixed, int, int, mixed, mixed, int, list<int>,
     * }>
     */
    private static function barsOf(int $planId, array $away): array
    {
        $bars = [];
        $ways = StepWays::ofPlan($planId);
        foreach (DB::select(self::bars(), [$planId]) as $row) {
            $id = $row->id;
            $bars[] = [
                $id,
                (int) $row->centre,
                (int) $row->machine,
                (int) $row->start,
                (int) $row->run,
                (int) $row->end,
                $row->order,
                $row->number,
                $row->name,
                (int) $row->started,
                (int) $row->pinned,
                $row->supplier ?? '',
                $row->family ?? '',
                is_int($id) && self::isLate($away[$id] ?? []) ? 1 : 0,
                self::others((int) $row->home, is_int($id) ? $ways[$id] ?? [] : [])];
        }

        return $bars;
    }

    /**
     * @param  array<int, int>  $ways  percent of the time by other work centre
     * @return list<int> all work centres that can do a step, its own first; none where it is the only one
     */
    private static function others(int $home, array $ways): array
    {
        return $ways === [] ? [] : [$home, ...array_keys($ways)];
    }

    /** SQL of what stands in a plan, by its start. */
    private static function bars(): string
    {
        [$start, $run, $end] = array_map(
            ShopState::minuteOf(...),
            ['p.start_at', 'COALESCE(p.run_at, p.start_at)', 'p.end_at'],
        );

        return "SELECT s.id, COALESCE(p.work_centre_id, 0) AS centre, COALESCE(p.machine, 0) AS machine,
            {$start} AS start,
            IF(s.family_id IS NULL, LEAST({$run}, {$start} + CEIL(s.setup_minutes)), {$run}) AS run, {$end} AS end,
            s.order_id AS `order`, s.number, s.name, f.code AS family, s.started_at IS NOT NULL AS started,
            n.id IS NOT NULL AS pinned, v.name AS supplier, s.work_centre_id AS home
            FROM plan_steps p
            JOIN order_steps s ON s.id = p.order_step_id
            LEFT JOIN suppliers v ON v.id = s.supplier_id
            LEFT JOIN families f ON f.id = s.family_id
            LEFT JOIN plan_pins n ON n.plan_id = p.plan_id AND n.order_step_id = s.id
            WHERE p.plan_id = ?
            ORDER BY p.start_at";
    }

    /** @return array<int, list<Handful>> pieces at suppliers, by step */
    private static function away(Deliveries $deliveries): array
    {
        $outside = DB::table('order_steps')->whereNotNull('supplier_id')->whereNotNull('started_at')->pluck('id');

        return Away::of($outside, $deliveries);
    }

    /**
     * Some of it should be back.
     *
     * @param  list<Handful>  $handfuls
     */
    private static function isLate(array $handfuls): bool
    {
        return array_filter($handfuls, fn (Handful $handful): bool => $handful->back->isLate()) !== [];
    }

    /**
     * @param  list<Handful>  $handfuls
     * @return list<array{id: int, says: string}>
     */
    private static function backs(array $handfuls): array
    {
        return array_map(fn (Handful $handful): array => [
            'id' => $handful->id,
            'says' => Figures::amount((string) $handful->away).' back: '.ArrivalWords::day($handful->back),
        ], $handfuls);
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
     * @return array{array<int, list<array{int, int}>>, list<array<string, mixed>>}
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
     * @param  list<array<string, mixed>>  $centres
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

    /** @return array<int, array<string, mixed>> */
    private static function orders(int $planId, Problem $problem): array
    {
        $needs = self::needs($problem);
        $rows = DB::table('plan_orders AS p')
            ->join('orders AS o', 'o.id', 'p.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->where('p.plan_id', $planId)
            ->orderBy('p.place_in_rank')
            ->get([
                'o.id',
                'o.number',
                'o.state',
                'o.quantity',
                'o.due_on',
                'i.number AS item',
                'i.name',
                'p.late_minutes',
                'p.readiness',
                'p.unplaced',
                DB::raw(ShopState::minuteOf('p.due_at').' AS due'),
                DB::raw(ShopState::minuteOf('p.finish_at').' AS finish')])->keyBy('id');
        [$for, $customers] = self::tied(array_values(array_filter($rows->keys()->all(), is_int(...))));
        $orders = [];
        foreach ($rows as $row) {
            $orders[$row->id] = [
                'number' => $row->number,
                'state' => $row->state,
                'quantity' => Figures::amount($row->quantity),
                'item' => $row->item,
                'name' => $row->name,
                'late' => (int) $row->late_minutes,
                'due' => $row->due === null ? null : (int) $row->due,
                'finish' => $row->finish === null ? null : (int) $row->finish,
                'for' => isset($for[$row->id], $rows[$for[$row->id]]) ? $for[$row->id] : null,
                'needs' => array_values($needs[$row->id] ?? []),
                'customer' => $customers[$row->id] ?? '',
                'unplaced' => $row->unplaced,
            ];
        }

        return $orders;
    }

    /** @return array<int, array<int, int>> the orders whose parts it waits for, by order */
    private static function needs(Problem $problem): array
    {
        $needs = [];
        foreach ($problem->jobs as $job) {
            foreach ($job->steps as $step) {
                foreach ($step->afterJobs as $part) {
                    $needs[$job->id][$part] = $part;
                }
            }
        }

        return $needs;
    }

    /**
     * Whose part an order is made for, by order, and who waits for it: its own customer line, or the one of the order
     * it is made for.
     *
     * @param  list<int>  $orders
     * @return array{array<int, int>, array<int, string>}
     */
    private static function tied(array $orders): array
    {
        $ties = DB::table('ties AS t')
            ->join('order_outputs AS out', 'out.id', 't.output_id')
            ->leftJoin('order_components AS want', 'want.id', 't.component_id')
            ->leftJoin('customer_order_lines AS l', 'l.id', 't.line_id')
            ->leftJoin('customer_orders AS co', 'co.id', 'l.customer_order_id')
            ->leftJoin('customers AS k', 'k.id', 'co.customer_id')
            ->whereIn('out.order_id', $orders)
            ->where('t.quantity', '>', 0)
            ->orderBy('t.id')
            ->select(['out.order_id', 'want.order_id AS for_order_id', 'k.name']);
        $for = $direct = [];
        foreach (Row::all($ties, fn (Row $row): Row => $row) as $row) {
            $order = $row->int('order_id');
            $parent = $row->intOrNull('for_order_id');
            $customer = $row->textOrNull('name');
            $parent === null ?: $for[$order] ??= $parent;
            $customer === null ?: $direct[$order] = $customer;
        }
        $customers = [];
        foreach ($orders as $order) {
            $one = $order;
            for ($up = 0; $one !== null && $up < 50; $one = $for[$one] ?? null, $up++) {
                if (isset($direct[$one])) {
                    $customers[$order] = $direct[$one];
                    break;
                }
            }
        }

        return [$for, $customers];
    }

    /** @return list<array<int, int|string|null>> time held for promises: work centre, machine, start, end, what */
    private static function held(): array
    {
        $held = [];
        foreach (HeldPromises::all() as $promise) {
            $says = $promise->for === '' ? 'held promise' : "held: {$promise->for}";
            foreach ($promise->steps() as $step) {
                if ($step['centre'] !== null) {
                    $held[] = [$step['centre'], $step['machine'], $step['start'], $step['end'], $says];
                }
            }
        }

        return $held;
    }
}
