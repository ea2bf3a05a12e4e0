<?php

namespace App\Queries\Outside;

use App\Models\Plan;
use App\Reading\Cut;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;

/** What can go to suppliers: pieces that stand at a step done outside, and those one step before it. */
final readonly class ReadyList
{
    /** So many are shown. */
    private const SHOWN = 300;

    /**
     * @param  Cut<ReadyPieces>  $all
     * @param  Collection<int, Collection<int, ReadyPieces>>  $bySupplier  those who can take something first
     * @param  array<int, list<WorkOrdered>>  $work  on what it is ordered, by step
     * @param  Collection<int, PartAlong>  $parts  that go along for what is bought
     * @param  Collection<int, ComponentAlong>  $components  that go along with pieces
     * @param  array<int, array<int|string, string>>  $lying  from where they can be taken, by item
     */
    private function __construct(
        public Cut $all,
        public Collection $bySupplier,
        private array $work,
        private Collection $parts,
        private Collection $components,
        public array $lying,
    ) {
    }

    public static function all(): self
    {
        $steps = self::steps()
            ->orderByRaw('here = 0')
            ->orderBy('v.name')
            ->orderByRaw('p.start_at IS NULL, p.start_at')
            ->orderBy('s.id');
        $all = Cut::read($steps, self::SHOWN, ReadyPieces::from(...));
        $parts = PartAlong::all()->filter(fn (PartAlong $part): bool => $part->toGo()->isPositive());

        $steps = $all->rows->map(fn (ReadyPieces $row): int => $row->id);
        $components = ComponentAlong::toGoWith($steps);
        $items = $parts->map(fn (PartAlong $part): int => $part->itemId)
            ->concat($components->map(fn (ComponentAlong $one): int => $one->itemId));

        return new self(
            $all,
            $all->rows->groupBy(fn (ReadyPieces $row): int => $row->supplierId),
            WorkOrdered::of($steps),
            $parts,
            $components,
            AlongStock::lying($items),
        );
    }

    /** @return Collection<int, PartAlong> that have to go along to a supplier */
    public function partsFor(int $supplier): Collection
    {
        return $this->parts->filter(fn (PartAlong $part): bool => $part->supplierId === $supplier);
    }

    /** @return Collection<int, ComponentAlong> that go along with pieces to a supplier */
    public function componentsFor(int $supplier): Collection
    {
        return $this->components->filter(fn (ComponentAlong $one): bool => $one->supplierId === $supplier);
    }

    /** @return Collection<int, string> suppliers who can take something, by id */
    public function suppliers(): Collection
    {
        $names = [];
        foreach ($this->all->rows as $row) {
            $names[$row->supplierId] = $row->supplier;
        }
        foreach ([...$this->parts, ...$this->components] as $along) {
            $names[$along->supplierId] ??= $along->supplier;
        }

        return collect($names);
    }

    /** @return list<WorkOrdered> on what the work of a step is ordered */
    public function workOf(ReadyPieces $row): array
    {
        return $this->work[$row->id] ?? [];
    }

    /**
     * @param  Collection<int, ReadyPieces>  $rows
     * @return list<int> steps whose work nobody ordered
     */
    public function notOrdered(Collection $rows): array
    {
        return array_values($rows
            ->filter(fn (ReadyPieces $row): bool => $this->workOf($row) === [])
            ->map(fn (ReadyPieces $row): int => $row->id)
            ->all());
    }

    /** Steps of which something stands here and was not sent. */
    public static function count(): int
    {
        return DB::query()->fromSub(self::steps(), 'r')->where('here', '>', 0)->count();
    }

    /** "5 steps of orders have pieces to go to 2 suppliers." */
    public function says(): string
    {
        $here = $this->all->rows->filter(fn (ReadyPieces $row): bool => $row->isHere());
        $suppliers = $here->pluck('supplierId')->unique()->count();

        $waits = $this->components->filter(fn (ComponentAlong $one): bool => $one->toGo->isPositive());
        $parts = $this->parts->count() + $waits->count();
        $along = $parts === 0 ? '' : ' '.ucfirst(Figures::count($parts, 'part').' of ours still '
            .($parts === 1 ? 'has' : 'have').' to go along.');

        return ($here->isEmpty()
            ? 'No pieces that stand here have to go to a supplier.'
            : Figures::count($here->count(), 'step').' of orders '.($here->count() === 1 ? 'has' : 'have')
                .' pieces to go to '.Figures::count($suppliers, 'supplier').'.').$along;
    }

    private static function steps(): Builder
    {
        return self::joined()
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->where('o.is_held', false)
            ->whereRaw('(s.taken_in - s.good - s.scrap > COALESCE(a.there, 0) '
                .'OR b.taken_in - b.scrap - b.passed_on > 0)')
            ->select(['s.id', 's.supplier_id', 'v.name AS supplier', 's.order_id', 'o.number AS order_number'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit', 's.number', 's.name'])
            ->addSelect(['b.number AS before_number', 'b.name AS before_name', 'b.supplier_id AS before_supplier'])
            ->addSelect(['a.there', 'p.start_at', 'po.late_minutes'])
            ->selectRaw('s.taken_in - s.good - s.scrap - COALESCE(a.there, 0) AS here')
            ->selectRaw('b.taken_in - b.scrap - b.passed_on AS before_pieces');
    }

    /** Steps done outside with what is away of them, the step before, and what the plan says. */
    private static function joined(): Builder
    {
        $away = DB::table('consignment_lines')
            ->where('there', '>', 0)
            ->groupBy('order_step_id')
            ->select('order_step_id')
            ->selectRaw('SUM(there) AS there');
        $before = DB::table('order_steps AS y')
            ->whereColumn('y.order_id', 's.order_id')
            ->whereColumn('y.number', '<', 's.number')
            ->selectRaw('MAX(y.number)');
        $live = fn (string $table, string $key, string $of) => fn (JoinClause $join) => $join
            ->on("{$table}.{$key}", $of)
            ->where("{$table}.plan_id", Plan::LIVE);

        return DB::table('order_steps AS s')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->leftJoinSub($away, 'a', 'a.order_step_id', 's.id')
            ->leftJoin('order_steps AS b', fn (JoinClause $join) => $join
                ->on('b.order_id', 's.order_id')
                ->where('b.number', '=', $before))
            ->leftJoin('plan_steps AS p', $live('p', 'order_step_id', 's.id'))
            ->leftJoin('plan_orders AS po', $live('po', 'order_id', 'o.id'));
    }
}
