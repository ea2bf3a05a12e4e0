<?php

namespace App\Queries\Board;

use App\Models\Person;
use App\Models\Plan;
use App\Models\WorkCentre;
use App\Reading\Cut;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

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

    /** Components of a step in a plan. */
    private const PARTS = 'SELECT COUNT(*) FROM order_components c
        JOIN plan_components k ON k.component_id = c.id AND k.plan_id = ?
        WHERE c.order_id = o.id AND c.step_number = s.number';

    /** Components of a step that have to be brought to it still. */
    private const TO_ISSUE = "SELECT COUNT(*) FROM order_components c
        WHERE c.order_id = o.id AND c.step_number = s.number
        AND c.open_quantity > 0 AND c.issue_by = 'hand'";

    private const SPANS = [1 => 'a day', 2 => '2 days', 7 => 'a week', 30 => 'a month'];

    /**
     * @param  int|null  $machine  of the work centre; null = all of them
     * @param  int  $days  ahead
     * @param  Cut<DispatchRow>  $cut
     */
    private function __construct(
        public WorkCentre $centre,
        public ?int $machine,
        public ?Person $person,
        public int $days,
        public Cut $cut,
    ) {
    }

    public static function of(int $centre, ?int $machine = null, ?int $person = null, int $days = 7): self
    {
        $who = $person === null
            ? null
            : Person::query()->where('work_centre_id', $centre)->find($person);
        $steps = self::steps($centre)
            ->when($machine !== null, fn (Builder $query) => $query->where('p.machine', $machine))
            // what runs unattended needs nobody
            ->when($who !== null, fn (Builder $query) => $query->where('s.crew', '>', 0))
            ->where('p.start_at', '<', now()->addDays($days));

        return new self(
            WorkCentre::query()->findOrFail($centre),
            $machine,
            $who,
            $days,
            Cut::read($steps, self::MOST, DispatchRow::from(...)),
        );
    }

    /** @return Collection<int, string> names of the people of a work centre, by id */
    public static function people(int $centre): Collection
    {
        return DB::table('people')
            ->where('work_centre_id', $centre)
            ->where('is_there', true)
            ->orderBy('name')
            ->pluck('name', 'id');
    }

    /**
     * How far ahead it can be asked for.
     *
     * @return array<int, string> said by days
     */
    public static function spans(): array
    {
        return self::SPANS;
    }

    public function title(): string
    {
        return $this->centre->name
            .($this->machine === null ? '' : " {$this->machine}")
            .($this->person === null ? '' : ", {$this->person->name}");
    }

    /** "4 steps, 2 can start now." */
    public function says(): string
    {
        $ready = $this->cut->rows->filter(fn (DispatchRow $row): bool => $row->canStart())->count();

        return Figures::count($this->cut->rows->count(), 'step').", {$ready} can start now.";
    }

    /** @return list<int>  its machines, where it has several */
    public function machines(): array
    {
        return $this->centre->machines > 1 ? range(1, $this->centre->machines) : [];
    }

    /** Rows of several machines stand in it. */
    public function isOfSeveral(): bool
    {
        return $this->machine === null && $this->machines() !== [];
    }

    /** @return array<string, int>  the machine or person it is narrowed to, as it stands in addresses */
    public function narrowedTo(): array
    {
        return array_filter(['machine' => $this->machine, 'person' => $this->person?->id]);
    }

    /** @return array<string, int>  of this list, as it stands in addresses */
    public function address(?int $days = null): array
    {
        return ['centre' => $this->centre->id, ...$this->narrowedTo(), 'days' => $days ?? $this->days];
    }

    /** @return array<string, int>  of one machine of the work centre, as it stands in addresses */
    public function ofMachine(int $machine): array
    {
        return [...$this->ofAll(), 'machine' => $machine];
    }

    /** @return array<string, int>  of one of its people */
    public function ofPerson(int $person): array
    {
        return [...$this->ofAll(), 'person' => $person];
    }

    /** @return array<string, int>  of the whole work centre */
    public function ofAll(): array
    {
        return ['centre' => $this->centre->id, 'days' => $this->days];
    }

    /** @return list<list<string>> as printed and as CSV; times as ISO 8601 when $iso */
    public function table(bool $iso): array
    {
        return array_values($this->cut->rows->map(fn (DispatchRow $row): array => $row->cells($iso))->all());
    }

    private static function steps(int $centre): Builder
    {
        return DB::table('plan_steps AS p')
            ->join('order_steps AS s', 's.id', 'p.order_step_id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin(
                'plan_orders AS po',
                fn (JoinClause $join) => $join->on('po.order_id', 'o.id')->where('po.plan_id', Plan::LIVE),
            )
            ->where('p.plan_id', Plan::LIVE)
            ->where('p.work_centre_id', $centre)
            ->orderBy('p.start_at')
            ->select(['s.id', 's.order_id', 's.number', 's.name', 's.started_at', 's.instructions'])
            ->addSelect('s.tools')
            ->addSelect(['o.number AS order', 'o.state', 'o.quantity', 'i.number AS item_number'])
            ->addSelect(['i.name AS item_name', 'u.code AS unit', 'p.machine', 'p.start_at', 'p.run_at', 'p.end_at'])
            ->leftJoin('families AS f', 'f.id', 's.family_id')
            ->addSelect(['po.late_minutes', 'f.code AS family', 'r.shared_run_id AS run'])
            ->leftJoin('shared_run_steps AS r', 'r.order_step_id', 's.id')
            ->selectRaw('s.taken_in > s.good + s.scrap AS has_pieces')
            ->selectRaw('('.self::PARTS.' AND k.missing > 0) AS missing', [Plan::LIVE])
            ->selectRaw('('.self::PARTS." AND k.missing = 0 AND k.coming <> '[]') AS coming", [Plan::LIVE])
            ->selectRaw('('.self::TO_ISSUE.') AS to_issue');
    }
}
