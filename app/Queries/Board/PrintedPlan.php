<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Shop\ShopState;
use App\Shop\StandingPlan;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Scheduling\Plan\FoldedTime;
use KeepPace\Core\Scheduling\Plan\QuietTime;

/** A day or a week of a plan for the wall: machines down, time across, nights folded. */
final readonly class PrintedPlan
{
    /** Part of the width of a folded night. */
    private const FOLD = 0.008;

    /**
     * @param  int  $from  UTC minute
     * @param  int  $to  UTC minute
     * @param  list<PrintedRow>  $rows
     * @param  list<int>  $days  midnights between from and to
     * @param  list<array{int, int}>  $quiet  nights and weekends
     */
    private function __construct(
        public Plan $plan,
        public int $from,
        public int $to,
        public array $rows,
        public array $days,
        public array $quiet,
    ) {
    }

    /** @param  int  $days  from the morning of a day of the plant on */
    public static function of(int $planId, CarbonImmutable $day, int $days): self
    {
        $standing = StandingPlan::of($planId);
        $problem = $standing->problem();
        $midnights = array_map(
            fn (int $n): int => ShopState::minute($day->startOfDay()->addDays($n)),
            range(0, $days),
        );
        [$from, $to] = [$midnights[0], $midnights[$days]];
        $bars = self::bars($planId, $from, $to);
        $rows = [];
        foreach ($problem->workCentres as $id => $centre) {
            for ($machine = 1; $machine <= $centre->machines; $machine++) {
                $rows[] = new PrintedRow(
                    $machine === 1 ? $centre->name : '',
                    $centre->ownOpen[$machine] ?? $centre->open,
                    array_values(array_filter(
                        $bars,
                        fn (PrintedBar $bar): bool => $bar->centre === $id && $bar->machine === $machine,
                    )),
                );
            }
        }

        return new self(
            $standing->plan,
            $from,
            $to,
            [...$rows, ...self::outside($bars)],
            array_slice($midnights, 0, -1),
            QuietTime::of($problem->workCentres, $from, $to),
        );
    }

    /** Across the paper. */
    public function time(): FoldedTime
    {
        return FoldedTime::of($this->from, $this->to, $this->quiet, self::FOLD);
    }

    /** "Mon 30 Nov to Sun 6 Dec", or the one day. */
    public function span(): string
    {
        $says = fn (int $minute): string => When::local($minute)->format('D j M Y');
        $last = $this->days[count($this->days) - 1];

        return count($this->days) === 1 ? $says($this->from) : "{$says($this->from)} to {$says($last)}";
    }

    /** @return list<PrintedBar> what is under way in a span, by its start */
    private static function bars(int $planId, int $from, int $to): array
    {
        $steps = DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoin('plan_orders AS r', fn (JoinClause $join) => $join
                ->on('r.order_id', 'o.id')
                ->where('r.plan_id', $planId))
            ->where('p.plan_id', $planId)
            ->where('p.end_at', '>', gmdate('Y-m-d H:i:s', 60 * $from))
            ->where('p.start_at', '<', gmdate('Y-m-d H:i:s', 60 * $to))
            ->orderBy('p.start_at')
            ->orderBy('s.id')
            ->select(['o.number AS order_number', 's.number', 's.name', 'v.name AS supplier', 'r.late_minutes'])
            ->selectRaw('COALESCE(p.work_centre_id, 0) AS centre, COALESCE(p.machine, 0) AS machine')
            ->selectRaw(ShopState::minuteOf('p.start_at').' AS start, '.ShopState::minuteOf('p.end_at').' AS end')
            ->selectRaw('s.started_at IS NOT NULL AS is_started');

        return array_values(Row::all($steps, PrintedBar::from(...))->all());
    }

    /**
     * @param  list<PrintedBar>  $bars
     * @return list<PrintedRow> work at suppliers, side by side: each in the first lane that is free
     */
    private static function outside(array $bars): array
    {
        $lanes = [];
        foreach (array_filter($bars, fn (PrintedBar $bar): bool => $bar->centre === 0) as $bar) {
            $lane = 0;
            while (isset($lanes[$lane]) && $lanes[$lane][count($lanes[$lane]) - 1]->end > $bar->start) {
                $lane++;
            }
            $lanes[$lane][] = $bar;
        }

        return array_map(
            fn (array $lane, int $n): PrintedRow => new PrintedRow($n === 0 ? 'At suppliers' : '', null, $lane),
            $lanes,
            array_keys($lanes),
        );
    }
}
