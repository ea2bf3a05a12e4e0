<?php

namespace App\Queries\Board;

use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Handful;
use App\Shop\HeldPromises;
use App\Shop\ShopState;
use App\Shop\StepWays;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Facades\DB;

/** What stands on the board: steps of a plan, time held, pieces at suppliers. */
final readonly class BoardBars
{
    /**
     * @param  list<array{
     *     mixed, int, int, int, int, int, mixed, mixed, mixed, int, int, mixed, mixed, int, list<int>,
     * }>  $rows  one a step; which column is what, the board's script says
     * @param  array<int, list<Handful>>  $away  pieces at suppliers, by step
     * @param  list<array{on: string, says: string}>  $likely  days somebody names when asked when something is back
     */
    private function __construct(public array $rows, private array $away, public array $likely)
    {
    }

    public static function of(int $planId): self
    {
        $deliveries = Deliveries::now();
        $away = self::awayNow($deliveries);

        return new self(self::barsOf($planId, $away), $away, self::likely($deliveries));
    }

    /** The first minute anything stands at, and the last. */
    public function from(int $now): int
    {
        return min([$now, ...array_column($this->rows, 3)]);
    }

    public function to(int $now): int
    {
        return max([$now + 7 * 1440, ...array_column($this->rows, 5)]);
    }

    /** @return array<int, list<array{id: int, says: string}>> pieces at suppliers, by step */
    public function away(): array
    {
        return array_map(self::backs(...), $this->away);
    }

    /** @return list<array{on: string, says: string}> */
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
    private static function awayNow(Deliveries $deliveries): array
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

    /** @return list<array<int, int|string|null>> time held for promises: work centre, machine, start, end, what */
    public static function held(): array
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
