<?php

namespace App\Queries\Outside;

use App\Models\Place;
use App\Reading\Cut;
use App\Reading\Row;
use App\Shop\Away;
use App\Shop\Deliveries;
use App\Shop\Waiting;
use App\Wording\Figures;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** All pieces of orders that are with suppliers, put together by supplier, by item or by order. */
final readonly class AtSuppliers
{
    /** So many steps are shown. */
    private const SHOWN = 300;

    /** Cents that are in the order. */
    private const IN_ORDER = '(SELECT COALESCE(SUM(e.cents), 0) FROM cost_entries e WHERE e.order_id = o.id)';

    private const SCRAP = '(SELECT COALESCE(SUM(y.scrap), 0) FROM order_steps y WHERE y.order_id = o.id)';

    private const NEXT = '(SELECT MIN(n.number) FROM order_steps n WHERE n.order_id = o.id AND n.number > s.number)';

    private const NEXT_SUPPLIER = '(SELECT nv.name FROM order_steps n JOIN suppliers nv ON nv.id = n.supplier_id '
        .'WHERE n.order_id = o.id AND n.number = '.self::NEXT.')';

    /** For whom alone it is made. */
    private const CUSTOMER = '(SELECT MIN(c.name) FROM ties y JOIN customer_order_lines l ON l.id = y.line_id '
        .'JOIN customer_orders k ON k.id = l.customer_order_id JOIN customers c ON c.id = k.customer_id '
        .'WHERE y.output_id = t.id AND y.quantity > 0 HAVING COUNT(DISTINCT k.id) = 1)';

    public const BY = ['supplier' => 'supplier', 'item' => 'item', 'order' => 'order'];

    /**
     * @param  Cut<PiecesThere>  $all  what is due first stands first
     * @param  array<int, list<WorkOrdered>>  $work  on what it is ordered, by step
     * @param  Collection<int, PartAlong>  $parts  of ours there, of which something is made that is bought
     * @param  Collection<int, ComponentAlong>  $components  that went along with pieces
     * @param  Collection<int, string>  $places  into which they can come back, by id
     */
    private function __construct(
        public Cut $all,
        public string $by,
        private array $work,
        public Collection $parts,
        public Collection $components,
        public Collection $places,
    ) {
    }

    /** @param  string  $by  a key of BY */
    public static function by(string $by): self
    {
        $all = self::read(self::steps());

        $work = WorkOrdered::of($all->rows->map(fn (PiecesThere $row): int => $row->stepId));
        $parts = PartAlong::all()->filter(fn (PartAlong $part): bool => $part->there->isPositive());

        return new self($all, $by, $work, $parts->values(), ComponentAlong::there(), Place::offered());
    }

    public function isEmpty(): bool
    {
        return $this->all->rows->isEmpty() && $this->parts->isEmpty() && $this->components->isEmpty();
    }

    /** @return list<WorkOrdered> on what the work of a step is ordered */
    public function workOf(PiecesThere $row): array
    {
        return $this->work[$row->stepId] ?? [];
    }

    /** @return Collection<int, PiecesThere> those at one supplier, what is due first first */
    public static function of(int $supplier): Collection
    {
        return self::read(self::steps()->where('s.supplier_id', $supplier))->rows;
    }

    /** @return Collection<int, PiecesThere> what is due first stands first */
    public static function first(int $most): Collection
    {
        return self::read(self::steps(), $most)->rows;
    }

    /** Steps whose pieces are with suppliers. */
    public static function count(): int
    {
        return DB::table('consignment_lines')->where('there', '>', 0)->distinct()->count('order_step_id');
    }

    /** Pieces of a step; null = none are there. */
    public static function step(int $step): ?PiecesThere
    {
        return self::read(self::steps()->where('s.id', $step))->rows->first();
    }

    /** @return Collection<string, Collection<int, PiecesThere>> by what they are put together by */
    public function groups(): Collection
    {
        return $this->all->rows
            ->groupBy(fn (PiecesThere $row): string => match ($this->by) {
                'item' => "{$row->itemNumber} {$row->item}",
                'order' => $row->order,
                default => $row->supplier,
            });
    }

    /** "12 steps have pieces at 3 suppliers, 2 of them overdue." */
    public function says(): string
    {
        $rows = $this->all->rows;
        $late = $rows->filter(fn (PiecesThere $row): bool => $row->isLate())->count();
        $suppliers = $rows->pluck('supplierId')->unique()->count();

        return $rows->isEmpty()
            ? 'No pieces of orders are with a supplier.'
            : Figures::count($rows->count(), 'step').($rows->count() === 1 ? ' has' : ' have').' pieces at '
                .Figures::count($suppliers, 'supplier').', '.($late === 0 ? 'none' : $late).' overdue.';
    }

    /** Cents of all of it: part of what is in orders. */
    public function cents(): int
    {
        return $this->all->rows->sum(fn (PiecesThere $row): int => $row->cents);
    }

    /** Cents of parts there: stock of ours at those places. */
    public function centsOfParts(): int
    {
        return $this->parts->sum(fn (PartAlong $part): int => $part->cents)
            + $this->components->sum(fn (ComponentAlong $one): int => $one->cents);
    }

    /** @return Cut<PiecesThere> */
    private static function read(Builder $steps, int $most = self::SHOWN): Cut
    {
        $cut = Cut::read($steps->orderByRaw('first_back, s.id'), $most, fn (Row $row): Row => $row);
        $handfuls = Away::of($cut->rows->map(fn (Row $row): int => $row->int('id')), Deliveries::now());

        $items = $cut->rows->map(fn (Row $row): int => $row->int('item_id'))->unique();
        $waiting = Waiting::numbers(array_values($items->all()));
        $piece = fn (Row $row): PiecesThere => PiecesThere::from($row, $handfuls, $waiting);

        return new Cut($cut->rows->map($piece), $cut->count);
    }

    private static function steps(): Builder
    {
        $away = DB::table('consignment_lines')
            ->where('there', '>', 0)
            ->groupBy('order_step_id')
            ->select('order_step_id')
            ->selectRaw('SUM(there) AS there, MIN(back_at) AS first_back');

        return DB::table('order_steps AS s')
            ->joinSub($away, 'a', 'a.order_step_id', 's.id')
            ->join('orders AS o', 'o.id', 's.order_id')
            ->join('order_outputs AS t', fn (JoinClause $join) => $join
                ->on('t.order_id', 'o.id')
                ->where('t.position', 1))
            ->join('items AS i', 'i.id', 'o.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->select(['s.id', 's.supplier_id', 'v.name AS supplier', 's.order_id', 'o.number AS order_number'])
            ->addSelect(['o.item_id', 'i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
            ->addSelect(['s.number', 's.name', 'a.there', 'a.first_back'])
            ->selectRaw(self::IN_ORDER.' AS in_order')
            ->selectRaw(self::NEXT.' AS next_number')
            ->selectRaw(self::NEXT_SUPPLIER.' AS next_supplier, '.self::CUSTOMER.' AS customer')
            ->selectRaw('o.quantity - t.received_quantity - '.self::SCRAP.' AS alive');
    }
}
