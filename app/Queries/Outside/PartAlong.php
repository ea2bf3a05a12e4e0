<?php

namespace App\Queries\Outside;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A part of ours of which a supplier makes what is bought on a line: what is there, and what still has to go. */
final readonly class PartAlong
{
    /**
     * @param  BigDecimal  $open  of what is bought, to come
     * @param  BigDecimal  $there  of the part with the supplier
     * @param  int  $cents  of it: part of the item's stock
     */
    private function __construct(
        public int $id,
        public int $lineId,
        public string $line,
        public int $purchaseId,
        public int $supplierId,
        public string $supplier,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $made,
        public string $madeUnit,
        public BigDecimal $open,
        private BigRational $ratio,
        private int $decimals,
        public BigDecimal $there,
        public int $cents,
    ) {
    }

    /** @return Collection<int, self> of lines that are open, or of which something is left at the supplier */
    public static function all(): Collection
    {
        return Row::all(self::query()->whereRaw('(l.is_open OR a.there > 0)'), self::from(...));
    }

    /** @return Collection<int, self> of one line */
    public static function of(int $line): Collection
    {
        return Row::all(self::query()->where('l.id', $line), self::from(...));
    }

    /**
     * @param  list<int>  $lines
     * @return Collection<int, self>
     */
    public static function onLines(array $lines): Collection
    {
        return Row::all(self::query()->whereIn('l.id', $lines), self::from(...));
    }

    /** @return Collection<int, self> of the lines of a purchase order */
    public static function onPurchase(int $order): Collection
    {
        return Row::all(self::query()->where('o.id', $order), self::from(...));
    }

    /** Of it for one: "0.42". */
    public function each(): BigDecimal
    {
        return $this->ratio->toScale(6, RoundingMode::HALF_UP);
    }

    /** Still has to go, for what is to come. */
    public function toGo(): BigDecimal
    {
        $needed = $this->ratio->multipliedBy($this->open)->toScale($this->decimals, RoundingMode::UP);

        return BigDecimal::max(0, $needed->minus($this->there));
    }

    /** "for P-571/1" */
    public function goesSays(): string
    {
        return "for {$this->line}";
    }

    /** One of its fields among those of a form. */
    public function field(string $name): string
    {
        return "parts[{$this->id}][{$name}]";
    }

    /** Its name among the errors. */
    public function key(string $name): string
    {
        return "parts.{$this->id}.{$name}";
    }

    /** A form of its line among the others of a page. */
    public function form(string $deed): string
    {
        return "{$deed}-{$this->lineId}";
    }

    private static function query(): Builder
    {
        $away = DB::table('consignment_lines')->whereNotNull('part_id')->groupBy('part_id')->select('part_id');

        return DB::table('purchase_line_parts AS p')
            ->join('purchase_lines AS l', 'l.id', 'p.purchase_line_id')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS v', 'v.id', 'o.supplier_id')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('items AS m', 'm.id', 'l.item_id')
            ->join('units AS w', 'w.id', 'm.unit_id')
            ->leftJoinSub($away->selectRaw('SUM(there) AS there'), 'a', 'a.part_id', 'p.id')
            ->orderBy('v.name')
            ->orderBy('l.id')
            ->orderBy('p.position')
            ->select(['p.id', 'p.purchase_line_id', 'l.number', 'l.purchase_order_id', 'o.supplier_id'])
            ->addSelect(['v.name AS supplier', 'p.item_id', 'i.name AS item', 'i.number AS item_number'])
            ->addSelect(['u.code AS unit', 'u.decimals', 'm.name AS made', 'w.code AS made_unit', 'a.there'])
            ->addSelect(['p.ratio_p', 'p.ratio_q'])
            ->selectRaw('GREATEST(0, l.quantity - l.received_quantity - l.cancelled_quantity) AS open')
            ->selectRaw(AlongStock::worth('p.item_id'));
    }

    private static function from(Row $row): self
    {
        $there = $row->decimalOrZero('there');

        return new self(
            $row->int('id'),
            $row->int('purchase_line_id'),
            $row->text('number'),
            $row->int('purchase_order_id'),
            $row->int('supplier_id'),
            $row->text('supplier'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->text('made'),
            $row->text('made_unit'),
            $row->decimal('open'),
            BigRational::of("{$row->text('ratio_p')}/{$row->text('ratio_q')}"),
            $row->int('decimals'),
            $there,
            AlongStock::cents($row, $there),
        );
    }
}
