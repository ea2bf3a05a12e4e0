<?php

namespace App\Queries\Board;

use App\Models\Plan;
use App\Models\WorkCentre;
use App\Queries\Cut;
use App\Wording\Figures;
use App\Wording\When;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** What a work centre, one of its machines or one of its people does next, in sequence, and whether it can begin. */
final readonly class DispatchList
{
    private const MOST = 200;

    public const HEAD = [
        'Machine',
        'Start',
        'End',
        'Order',
        'Step',
        'Item',
        'Pieces',
        'Setup family',
        'Ready',
        'Papers',
    ];

    /** @param  Collection<int, \stdClass>  $rows  @param  Cut<\stdClass>  $cut */
    private function __construct(
        public WorkCentre $centre,
        public ?int $machine,
        public ?\stdClass $person,
        public Collection $rows,
        public Cut $cut,
    ) {
    }

    public static function of(int $centre, ?int $machine = null, ?int $person = null, int $days = 7): self
    {
        $who = $person === null
                ? null
                : DB::table('people')->where('id', $person)->where('work_centre_id', $centre)->first();
        $query = DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin(
                'plan_orders AS po',
                fn ($join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE),
            )
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.work_centre_id', $centre)
            ->when($machine !== null, fn ($query) => $query->where('p.machine', $machine))
            ->when($who !== null, fn ($query) => $query->where('s.crew', '>', 0)) // what runs unattended needs nobody
            ->where('p.start_at', '<', now()->addDays($days))
            ->orderBy('p.start_at')
            ->select([
                's.id',
                's.order_id',
                's.number',
                's.name',
                's.family',
                's.started_at',
                's.instructions',
                's.taken_in',
                's.good',
                's.scrap',
                'o.number AS order',
                'o.state',
                'o.quantity',
                'o.short_reason',
                'i.number AS item_number',
                'i.name AS item_name',
                'u.code AS unit',
                'p.machine',
                'p.start_at',
                'p.run_at',
                'p.end_at',
                'po.late_minutes',
            ])
            ->selectRaw('s.taken_in > s.good + s.scrap AS has_pieces')
            ->selectRaw(
                '(SELECT COUNT(*) FROM order_components c JOIN plan_components k ON k.component_id = c.id AND k.plan_id = ? WHERE c.order_id = o.id AND c.step_number = s.number AND k.missing > 0) AS missing',
                [Plan::LIVE],
            )
            ->selectRaw(
                '(SELECT COUNT(*) FROM order_components c JOIN plan_components k ON k.component_id = c.id AND k.plan_id = ? WHERE c.order_id = o.id AND c.step_number = s.number AND k.missing = 0 AND k.coming <> "[]") AS coming',
                [Plan::LIVE],
            )
            ->selectRaw(
                '(SELECT COUNT(*) FROM order_components c WHERE c.order_id = o.id AND c.step_number = s.number AND c.used_quantity + c.replaced_quantity < c.planned_quantity AND c.issue_by = "hand") AS to_issue',
            );
        $cut = Cut::of($query, self::MOST);
        $rows = $cut->rows->each(function (\stdClass $row): void {
            $row->ready = self::ready($row);
            $row->papers = $row->state === OrderState::Firm->value
                ? 'not released'
                : ($row->instructions === '' ? 'traveler' : 'traveler, instructions');
        });

        return new self(WorkCentre::query()->findOrFail($centre), $machine, $who, $rows, $cut);
    }

    /** @return Collection<int, \stdClass> people of a work centre */
    public static function people(int $centre): Collection
    {
        return DB::table('people')
            ->where('work_centre_id', $centre)
            ->where('is_there', true)
            ->orderBy('name')
            ->get(['id', 'name']);
    }

    public function title(): string
    {
        return $this->centre->name
            .($this->machine === null ? '' : " {$this->machine}")
            .($this->person === null ? '' : ", {$this->person->name}");
    }

    /** @return list<list<string>> as printed and as CSV; times as ISO 8601 when $iso */
    public function table(bool $iso): array
    {
        return array_values(
            $this->rows
                ->map(
                    fn (\stdClass $row): array => [
                        (string) $row->machine,
                        $iso ? When::local($row->start_at)->toIso8601String() : When::say($row->start_at),
                        $iso ? When::local($row->end_at)->toIso8601String() : When::say($row->end_at),
                        $row->order,
                        "{$row->number} {$row->name}",
                        "{$row->item_number} {$row->item_name}",
                        Figures::amount($row->quantity),
                        $row->family,
                        $row->ready,
                        $row->papers,
                    ],
                )
                ->all(),
        );
    }

    private static function ready(\stdClass $row): string
    {
        return match (true) {
            $row->started_at !== null => 'running',
            (int) $row->missing > 0 => 'parts not ordered',
            (int) $row->coming > 0 => 'parts are coming',
            $row->state === OrderState::Firm->value => 'parts are there',
            ! $row->has_pieces => 'pieces not here yet',
            (int) $row->to_issue > 0 => 'parts to be issued',
            default => 'can start',
        };
    }
}
