<?php

namespace App\Shop;

use App\Models\Order;
use App\Models\OrderStep;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\SetUpOnce;
use KeepPace\Core\Scheduling\SharedRun;

/** Steps of several orders that are set up once, and steps that could be. */
final class SharedRuns
{
    /** @return Builder of shared_run_steps AS r, with run AS g, step AS s and order AS o, of orders that are open */
    public static function open(): Builder
    {
        return DB::table('shared_run_steps AS r')
            ->join('shared_runs AS g', 'g.id', 'r.shared_run_id')
            ->join('order_steps AS s', 's.id', 'r.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->whereColumn('s.work_centre_id', 'g.work_centre_id') // one that was moved is set up where it is
            ->whereIn('o.state', array_map(fn (OrderState $state): string => $state->value, OrderState::OPEN));
    }

    /** @return array<int, array<string, SharedRun>> by work centre, by key */
    public static function byCentre(): array
    {
        $runs = [];
        $rows = self::open()
            ->groupBy('g.id', 'g.work_centre_id', 'g.setup_minutes')
            ->select(['g.id', 'g.work_centre_id', 'g.setup_minutes'])
            ->selectRaw('MIN(s.family_id) AS family_id');
        foreach (Row::all($rows, fn (Row $row): Row => $row) as $row) {
            $family = $row->intOrNull('family_id');
            $runs[$row->int('work_centre_id')][SharedRun::key($row->int('id'))] = new SharedRun(
                $row->int('setup_minutes'),
                $family === null ? null : (string) $family,
            );
        }

        return $runs;
    }

    /**
     * @param  Collection<int, OrderStep>  $steps  with their orders and work centres
     * @return list<SetUpOnce> in the same order
     */
    public static function asked(Collection $steps): array
    {
        $orders = $steps->map(fn (OrderStep $step): Order => $step->order)->unique('id')->values();
        $known = [];
        foreach (Combinable::of(new Collection, $orders) as $at => $one) {
            $known[$orders[$at]->id] = $one;
        }
        $shared = Row::ints(
            DB::table('shared_run_steps')->whereIn('order_step_id', $steps->pluck('id')),
            'order_step_id',
        );

        return array_values($steps->map(fn (OrderStep $step): SetUpOnce => new SetUpOnce(
            $known[$step->order_id],
            $step->label(),
            $step->work_centre_id,
            $step->family_id === null ? null : (string) $step->family_id,
            BigDecimal::of($step->setup_minutes)->toScale(0, RoundingMode::CEILING)->toInt(),
            $step->isOutside() ? 0 : $step->timeAlone()->minutes(BigDecimal::of($step->order->quantity), false),
            $step->started_at !== null || ! $step->pieces()->isUncounted(),
            in_array($step->id, $shared, true),
            ($step->workCentre->load_size ?? 0) > 0,
        ))->all());
    }
}
