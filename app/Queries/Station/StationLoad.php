<?php

namespace App\Queries\Station;

use App\Reading\Row;
use App\Wording\Figures;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** A work centre and how many jobs stand at it, to choose a station by. */
final readonly class StationLoad
{
    public function __construct(
        public int $id,
        public string $code,
        public string $name,
        public int $machines,
        public int $waiting,
        public int $running,
    ) {
    }

    /** @return Collection<int, self> */
    public static function all(): Collection
    {
        $centres = DB::table('work_centres AS w')
            ->leftJoin(
                'order_steps AS s',
                fn (JoinClause $join) => $join
                    ->on('s.work_centre_id', 'w.id')
                    ->whereRaw('s.taken_in > s.good + s.scrap'),
            )
            ->leftJoin(
                'orders AS o',
                fn (JoinClause $join) => $join->on('o.id', 's.order_id')->whereIn('o.state', OrderState::IN_THE_SHOP),
            )
            ->groupBy('w.id', 'w.code', 'w.name', 'w.machines')
            ->orderBy('w.id')
            ->select(['w.id', 'w.code', 'w.name', 'w.machines'])
            ->selectRaw('COUNT(o.id) AS waiting')
            ->selectRaw('COALESCE(SUM(s.started_at IS NOT NULL AND o.id IS NOT NULL), 0) AS running');

        return Row::all($centres, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('code'),
            $row->text('name'),
            $row->int('machines'),
            $row->int('waiting'),
            $row->int('running'),
        ));
    }

    public function machinesSay(): string
    {
        return Figures::count($this->machines, 'machine');
    }

    /** "nothing stands here", "1 job here", "3 jobs here, 2 running" */
    public function says(): string
    {
        $waiting = $this->waiting === 0 ? 'nothing stands here' : Figures::count($this->waiting, 'job').' here';

        return $this->running === 0 ? $waiting : "{$waiting}, {$this->running} running";
    }
}
