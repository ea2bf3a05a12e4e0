<?php

namespace App\Queries\Station;

use App\Models\Plan;
use App\Queries\Cut;
use App\Queries\Shop\Away;
use App\Queries\Shop\Deliveries;
use App\Queries\Shop\ShopState;
use App\Queries\Shop\WorkCentreHours;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Routing\Spell;

/** What a work centre does next: its open steps in the plan's order. */
final class StationQueue
{
    private const SHOWN = 60;

    /** @return Cut<\stdClass> */
    public static function steps(int $workCentre): Cut
    {
        $steps = self::base()
            ->whereRaw('COALESCE(p.work_centre_id, s.work_centre_id) = ?', [$workCentre])
            ->orderByRaw('s.started_at IS NULL, p.start_at IS NULL, p.start_at');
        $cut = Cut::of($steps, self::SHOWN);
        self::readClocks($cut->rows, $workCentre);

        return $cut;
    }

    /**
     * ->clock: the minutes a count would book now; null where no clock runs.
     *
     * @param  Collection<int, \stdClass>  $steps
     */
    private static function readClocks(Collection $steps, int $workCentre): void
    {
        $now = ShopState::minute(now());
        $from = fn (\stdClass $step): ?int => $step->spell_from === null || $step->work_centre_id !== $workCentre
            ? null
            : ShopState::minute(CarbonImmutable::parse($step->spell_from));
        $first = $steps->map($from)->filter()->min();
        $open = $first === null ? null : WorkCentreHours::between($workCentre, $first, $now);
        foreach ($steps as $step) {
            $begun = $from($step);
            $step->clock = $open === null || $begun === null
                ? null
                : (new Spell($open, $begun, $now))->machine($step->crew === 0);
        }
    }

    /** Steps with pieces outside now, and ->handfuls of them. @return Collection<int, \stdClass> */
    public static function outside(Deliveries $deliveries): Collection
    {
        $steps = self::base()
            ->join('suppliers AS v', 'v.id', 's.supplier_id')->addSelect('v.name AS supplier')
            ->whereRaw('s.taken_in > s.good + s.scrap')
            ->get();
        $handfuls = Away::of($steps->pluck('id'), $deliveries);

        return $steps
            ->each(fn (\stdClass $step) => $step->handfuls = $handfuls[$step->id] ?? [])
            ->sortBy(fn (\stdClass $step): int => $step->handfuls === [] ? PHP_INT_MAX : $step->handfuls[0]->back->at)
            ->values();
    }

    /** @return Collection<int, \stdClass> work centres with what stands at each */
    public static function workCentres(): Collection
    {
        return DB::table('work_centres AS w')
            ->leftJoin('order_steps AS s', fn ($join) => $join->on('s.work_centre_id', 'w.id')->whereRaw('s.taken_in > s.good + s.scrap'))
            ->leftJoin('orders AS o', fn ($join) => $join->on('o.id', 's.order_id')->whereIn('o.state', OrderState::IN_THE_SHOP))
            ->groupBy('w.id', 'w.code', 'w.name', 'w.machines')->orderBy('w.id')->select(['w.id', 'w.code', 'w.name', 'w.machines'])
            ->selectRaw('COUNT(o.id) AS waiting, COALESCE(SUM(s.started_at IS NOT NULL AND o.id IS NOT NULL), 0) AS running')->get();
    }

    private static function base(): \Illuminate\Database\Query\Builder
    {
        return DB::table('order_steps AS s')->join('orders AS o', 'o.id', 's.order_id')->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('plan_steps AS p', fn ($join) => $join->on('p.order_step_id', 's.id')->where('p.plan_id', Plan::LIVE))
            ->leftJoin('plan_orders AS po', fn ($join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE))
            ->leftJoin('people AS w', 'w.id', 's.started_by')->whereIn('o.state', OrderState::IN_THE_SHOP)->where('o.is_held', false)
            ->whereRaw('(s.taken_in > s.good + s.scrap OR s.good > s.passed_on OR p.id IS NOT NULL)')
            ->select(['s.*', 'o.number AS order_number', 'o.quantity', 'o.due_on', 'i.number AS item_number', 'i.name AS item_name',
                'u.code AS unit', 'p.start_at', 'p.end_at', 'p.machine', 'po.late_minutes', 'w.name AS worker'])
            ->selectRaw('(SELECT MIN(n.number) FROM order_steps n WHERE n.order_id = o.id AND n.number > s.number) AS next_number')
            ->selectRaw('(SELECT COUNT(*) FROM order_components c WHERE c.order_id = o.id AND c.step_number = s.number AND c.used_quantity + c.replaced_quantity < c.planned_quantity AND c.issue_by = "hand") AS parts_open');
    }
}
