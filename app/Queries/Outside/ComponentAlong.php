<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use App\Wording\Figures;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Planning\OrderState;
use KeepPace\Core\Planning\UsageProposal;
use KeepPace\Core\Structure\ItemKind;
use KeepPace\Core\Structure\LineBasis;

/** A component of a step done outside, which goes along with its pieces: what is there, and what still has to go. */
final readonly class ComponentAlong
{
    /**
     * @param  BigDecimal  $there  with the supplier, not used yet
     * @param  BigDecimal  $toGo  for the pieces that are there or stand here
     * @param  int  $cents  of what is there: part of the item's stock
     */
    private function __construct(
        public int $id,
        public int $stepId,
        public string $step,
        public int $orderId,
        public string $order,
        public int $supplierId,
        public string $supplier,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public BigDecimal $open,
        public BigDecimal $there,
        public BigDecimal $toGo,
        public int $cents,
    ) {
    }

    /**
     * Of which something still has to go: with pieces that can go now, or behind those that are there.
     *
     * @param  Collection<int, int>  $steps  whose pieces can go
     * @return Collection<int, self>
     */
    public static function toGoWith(Collection $steps): Collection
    {
        return Row::all(
            self::query()
                ->where('o.is_held', false)
                ->where(fn (Builder $of) => $of->whereIn('s.id', $steps)->orWhere('a.pieces', '>', 0))
                ->where('c.open_quantity', '>', 0)
                ->where('c.supplied_by', 'us')
                ->whereNotIn('i.kind', ItemKind::NEVER_ISSUED),
            self::from(...),
        );
    }

    /** @return Collection<int, self> with suppliers */
    public static function there(): Collection
    {
        return Row::all(self::query()->where('c.along_quantity', '>', 0), self::from(...));
    }

    /** @return Collection<int, self> with the supplier of a step */
    public static function at(int $step): Collection
    {
        return Row::all(self::query()->where('s.id', $step)->where('c.along_quantity', '>', 0), self::from(...));
    }

    private static function query(): Builder
    {
        $away = DB::table('consignment_lines')
            ->whereNotNull('order_step_id')
            ->groupBy('order_step_id')
            ->select('order_step_id')
            ->selectRaw('SUM(there) AS pieces');

        return DB::table('order_components AS c')
            ->join('orders AS o', 'o.id', 'c.order_id')
            ->join('order_steps AS s', fn (JoinClause $join) => $join
                ->on('s.order_id', 'c.order_id')
                ->on('s.number', 'c.step_number')
                ->whereNotNull('s.supplier_id'))
            ->join('suppliers AS v', 'v.id', 's.supplier_id')
            ->join('items AS i', 'i.id', 'c.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoinSub($away, 'a', 'a.order_step_id', 's.id')
            ->whereIn('o.state', OrderState::IN_THE_SHOP)
            ->orderBy('v.name')
            ->orderBy('o.id')
            ->orderBy('c.position')
            ->select(['c.id', 's.id AS step_id', 's.number', 's.name AS step', 'c.order_id'])
            ->addSelect(['o.number AS order_number', 's.supplier_id', 'v.name AS supplier', 'c.item_id'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit', 'u.decimals', 'c.basis'])
            ->addSelect(['c.open_quantity', 'c.along_quantity', 'o.quantity'])
            ->addSelect(['c.planned_quantity', 'c.used_quantity', 'c.replaced_quantity', 's.taken_in'])
            ->selectRaw(AlongStock::worth('c.item_id'));
    }

    private static function from(Row $row): self
    {
        $there = $row->decimal('along_quantity');
        $gone = $row->decimal('used_quantity')->plus($row->decimal('replaced_quantity'))->plus($there);

        return new self(
            $row->int('id'),
            $row->int('step_id'),
            "{$row->int('number')} {$row->text('step')}",
            $row->int('order_id'),
            $row->text('order_number'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->decimal('open_quantity'),
            $there,
            UsageProposal::of(
                $row->decimal('planned_quantity'),
                $gone,
                BigRational::of($row->decimal('taken_in'))->dividedBy($row->decimal('quantity')),
                $row->enum('basis', LineBasis::class) === LineBasis::PerOrder,
                $row->int('decimals'),
                BigDecimal::zero(),
            ),
            AlongStock::cents($row, $there),
        );
    }

    /** "20 of them wanted in all", where not all pieces stand there yet. */
    public function openSays(): string
    {
        return $this->open->isGreaterThan($this->toGo) ? Figures::amount((string) $this->open).' in all' : '';
    }

    /** "with 523" */
    public function goesSays(): string
    {
        return "with {$this->order}";
    }

    /** One of its fields among those of a form. */
    public function field(string $name): string
    {
        return "components[{$this->id}][{$name}]";
    }

    /** Its name among the errors. */
    public function key(string $name): string
    {
        return "components.{$this->id}.{$name}";
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "unused-{$this->id}";
    }
}
