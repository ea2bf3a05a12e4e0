<?php

namespace App\Queries\Board;

use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Handful;
use App\Shop\HeldPromises;
use App\Shop\ShopState;
use App\Shop\StepWays;
use App\Wording\ArrivalWords;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What stands on the board: steps of a plan, time held, pieces at suppliers. */
final readonly class BoardBars
{
    /**
     * @param  Collection<int, BoardBar>  $bars  by their start
     * @param  array<int, list<Handful>>  $away  pieces at suppliers, by step
     * @param  array<int, array<int, int>>  $ways  by step: percent of the time by other work centre
     * @param  list<array{on: string, says: string}>  $likely  days somebody names when asked when something is back
     */
    private function __construct(
        public Collection $bars,
        private array $away,
        private array $ways,
        public array $likely,
    ) {
    }

    public static function of(int $planId): self
    {
        $deliveries = Deliveries::now();

        return new self(
            Row::all(self::inPlan($planId), BoardBar::from(...)),
            Away::all($deliveries),
            StepWays::ofPlan($planId),
            self::likely($deliveries),
        );
    }

    /** The first minute anything stands at, and the last. */
    public function from(int $now): int
    {
        return min([$now, ...$this->bars->map(fn (BoardBar $bar): int => $bar->start)]);
    }

    public function to(int $now): int
    {
        return max([$now + 7 * 1440, ...$this->bars->map(fn (BoardBar $bar): int => $bar->end)]);
    }

    /** @return list<list<int|string|list<int>>> one a step; which column is what, the board's script says */
    public function drawn(): array
    {
        return array_values($this->bars->map(fn (BoardBar $bar): array => $bar->drawn(
            self::isLate($this->away[$bar->id] ?? []),
            $this->ways[$bar->id] ?? [],
        ))->all());
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

    private static function inPlan(int $planId): Builder
    {
        [$start, $run, $end] = array_map(
            ShopState::minuteOf(...),
            ['p.start_at', 'COALESCE(p.run_at, p.start_at)', 'p.end_at'],
        );

        return DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->leftJoin('plan_pins AS n', fn (JoinClause $join) => $join
                ->on('n.plan_id', 'p.plan_id')
                ->on('n.order_step_id', 's.id'))
            ->where('p.plan_id', $planId)
            ->orderBy('p.start_at')
            ->orderBy('s.id')
            ->select(['s.id', 's.order_id', 's.number', 's.name', 's.work_centre_id AS home'])
            ->addSelect(['f.code AS family', 'v.name AS supplier'])
            ->selectRaw('COALESCE(p.work_centre_id, 0) AS centre, COALESCE(p.machine, 0) AS machine')
            ->selectRaw("{$start} AS start, {$end} AS end")
            // what is changed over by what stands before is set up until its run begins
            ->selectRaw(
                'IF(s.family_id IS NULL AND r.order_step_id IS NULL, '
                    ."LEAST({$run}, {$start} + CEIL(s.setup_minutes)), {$run}) AS run",
            )
            ->selectRaw('s.started_at IS NOT NULL AS is_started, n.id IS NOT NULL AS is_pinned');
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
