<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Reading\Row;
use App\Shop\ShopState;
use Illuminate\Support\Facades\DB;

/** Where the live plan has a step that stands elsewhere in a what-if. */
final readonly class StoodAt
{
    /**
     * @param  int  $centre  0 = at a supplier
     * @param  int  $machine  0 = likewise
     * @param  int  $start  UTC minute
     * @param  int  $end  UTC minute
     */
    private function __construct(
        private int $step,
        private int $centre,
        private int $machine,
        private int $start,
        private int $end,
    ) {
    }

    /** @return list<self> none in the live plan itself */
    public static function all(int $planId): array
    {
        if ($planId === Plan::LIVE) {
            return [];
        }
        [$start, $end] = [ShopState::minuteOf('live.start_at'), ShopState::minuteOf('live.end_at')];
        $moved = DB::table('plan_steps AS live')
            ->join('plan_steps AS p', 'p.order_step_id', 'live.order_step_id')
            ->where('live.plan_id', Plan::LIVE)
            ->where('p.plan_id', $planId)
            ->whereRaw(
                '(live.start_at <> p.start_at OR NOT live.machine <=> p.machine '
                    .'OR NOT live.work_centre_id <=> p.work_centre_id)',
            )
            ->select('live.order_step_id AS step')
            ->selectRaw('COALESCE(live.work_centre_id, 0) AS centre, COALESCE(live.machine, 0) AS machine')
            ->selectRaw("{$start} AS start, {$end} AS end");

        return array_values(Row::all($moved, self::from(...))->all());
    }

    public static function from(Row $row): self
    {
        return new self(
            $row->int('step'),
            $row->int('centre'),
            $row->int('machine'),
            $row->int('start'),
            $row->int('end'),
        );
    }

    /** @return list<int> as the board's script reads it */
    public function drawn(): array
    {
        return [$this->step, $this->centre, $this->machine, $this->start, $this->end];
    }
}
