<?php

namespace App\Queries\Board;

use App\Models\Calendar;
use App\Models\Plan;
use App\Queries\Shop\ShopState;
use App\Wording\Figures;
use App\Wording\When;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The live plan as drawn: work centres down with a row for each machine, time across. Minutes are UTC. */
final readonly class BoardDrawing
{
    /**
     * @param  Collection<int, \stdClass>  $rows  work centres, each with ->open (windows) and ->bars by machine
     * @param  Collection<int, \stdClass>  $outside  steps at suppliers
     */
    private function __construct(public int $from, public int $to, public int $now, public Collection $rows, public Collection $outside,
        public ?Plan $plan)
    {
    }

    public static function of(CarbonImmutable $start, int $days): self
    {
        $from = ShopState::minute($start);
        $to = ShopState::minute($start->addDays($days));
        $steps = DB::table('plan_steps AS p')->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')->join('items AS i', 'i.id', 'o.item_id')
            ->leftJoin('plan_orders AS po', fn ($join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE))
            ->leftJoin('suppliers AS v', 'v.id', 's.supplier_id')->where('p.plan_id', Plan::LIVE)
            ->where('p.start_at', '<', gmdate('Y-m-d H:i:s', $to * 60))->where('p.end_at', '>', gmdate('Y-m-d H:i:s', $from * 60))
            ->orderBy('p.start_at')
            ->get(['s.id', 's.number', 's.name', 's.work_centre_id', 's.started_at', 's.setup_minutes', 'o.id AS order_id',
                'o.number AS order_number', 'o.state', 'o.quantity', 'i.number AS item_number', 'i.name AS item_name', 'p.machine',
                DB::raw('UNIX_TIMESTAMP(p.start_at) DIV 60 AS `from`'), DB::raw('UNIX_TIMESTAMP(p.end_at) DIV 60 AS `to`'),
                'po.late_minutes', 'v.name AS supplier',
                DB::raw('s.started_at + INTERVAL s.lead_days DAY < UTC_TIMESTAMP() AND s.supplier_id IS NOT NULL AS overdue')]);
        foreach ($steps as $step) {
            $step->from = (int) $step->from;
            $step->to = (int) $step->to;
            $step->late = (int) $step->late_minutes > 0;
            $step->class = match (true) {
                $step->late => 'bar-late', $step->started_at !== null => 'bar-started', $step->state === 'firm' => 'bar-firm',
                default => 'bar-run',
            };
            $step->title = "{$step->order_number} step {$step->number} {$step->name}: ".Figures::amount($step->quantity)." {$step->item_name}, "
                .($step->supplier === null ? When::span($step->from, $step->to)
                    : "at {$step->supplier}, back ".When::say($step->to)).($step->late ? ', '.Figures::pace((int) $step->late_minutes)
                    : '');
        }
        $calendars = Calendar::query()->with(['shifts', 'days'])->get()->keyBy('id');
        $windows = $calendars->map(fn (Calendar $calendar) => $calendar->toCore()->windows($from, $to));
        $byCentre = $steps->whereNotNull('work_centre_id')->groupBy('work_centre_id');
        $rows = DB::table('work_centres')->orderBy('id')->get();
        foreach ($rows as $centre) {
            $centre->open = $windows[$centre->calendar_id];
            $centre->bars = ($byCentre[$centre->id] ?? collect())->groupBy('machine');
            $load = ($byCentre[$centre->id] ?? collect())
                ->sum(fn (\stdClass $bar): int => $centre->open->minutesBetween(max($bar->from, $from), min($bar->to, $to)));
            $capacity = $centre->open->minutesBetween($from, $to) * $centre->machines;
            $centre->load = $capacity === 0 ? 0 : intdiv(100 * $load, $capacity);
        }

        return new self($from, $to, ShopState::minute(CarbonImmutable::now()), $rows, $steps->whereNull('work_centre_id')
            ->values(), Plan::query()->find(Plan::LIVE));
    }

    /** Midnights of the plant inside the drawing. @return list<CarbonImmutable> */
    public function days(): array
    {
        $days = [];
        for ($day = When::local($this->from)->startOfDay(); ShopState::minute($day) < $this->to; $day = $day->addDay()) {
            $days[] = $day;
        }

        return $days;
    }
}
