<?php

namespace App\Queries\Orders;

use App\Models\OrderOutput;
use App\Reading\Row;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\Tracking;
use KeepPace\Core\Structure\LineBasis;
use KeepPace\Core\Structure\OutputKind;
use KeepPace\Core\Structure\ShareRule;
use KeepPace\Core\Structure\Takes;

/** What comes back of an order beside its product. */
final readonly class BesideLine
{
    private function __construct(
        public int $id,
        public int $orderId,
        public int $itemId,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public OutputKind $kind,
        public ShareRule $rule,
        public BigDecimal $planned,
        public BigDecimal $baseline,
        public BigDecimal $received,
        public BigDecimal $scrapped,
        public BigDecimal $givenUp,
        public BigDecimal $promised,
        public int $value,
        private Tracking $tracking,
        private Takes $takes,
        private int $decimals,
    ) {
    }

    /**
     * @param  Collection<int, int>  $orders
     * @return array<int, list<self>> by order
     */
    public static function ofOrders(Collection $orders): array
    {
        $by = [];
        foreach ($orders->isEmpty() ? [] : Row::all(self::rows($orders), self::from(...)) as $line) {
            $by[$line->orderId][] = $line;
        }

        return $by;
    }

    /** Goes with so many pieces in all, and has not come. */
    public function due(BigDecimal $pieces): BigDecimal
    {
        $with = $pieces->isZero() ? BigDecimal::zero() : $this->takes->for(BigRational::of($pieces))
            ->toScale($this->decimals, RoundingMode::DOWN);

        return BigDecimal::max(0, $with->minus($this->received));
    }

    public function open(): BigDecimal
    {
        return BigDecimal::max(0, $this->planned->minus($this->received)->minus($this->givenUp));
    }

    /** The order gives another quantity than the master. */
    public function isChanged(): bool
    {
        return ! $this->planned->isEqualTo($this->baseline);
    }

    /** Its form among the others of a page. */
    public function form(): string
    {
        return "output-{$this->id}";
    }

    public function takesCodes(): bool
    {
        return $this->tracking->isTracked();
    }

    public function takesSerials(): bool
    {
        return $this->tracking === Tracking::Serial;
    }

    /** "Lot of Off-cuts" */
    public function codesLabel(): string
    {
        return ($this->takesSerials() ? 'Serials, one a line, of ' : 'Lot of ').$this->item;
    }

    /** The name of a field of it in a form. */
    public function name(string $field): string
    {
        return "beside[{$this->id}][{$field}]";
    }

    public function key(string $field): string
    {
        return "beside.{$this->id}.{$field}";
    }

    private static function from(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('order_id'),
            $row->int('item_id'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->enum('kind', OutputKind::class),
            $row->enum('share_rule', ShareRule::class),
            $row->decimal('planned_quantity'),
            $row->decimal('baseline_quantity'),
            $row->decimal('received_quantity'),
            $row->decimal('scrapped'),
            $row->decimal('given_up_quantity'),
            $row->decimal('promised'),
            $row->int('received_value'),
            $row->enum('tracking', Tracking::class),
            new Takes(
                BigRational::nd($row->text('ratio_p'), $row->text('ratio_q')),
                $row->enum('basis', LineBasis::class),
            ),
            $row->int('decimals'),
        );
    }

    /** @param  Collection<int, int>  $orders */
    private static function rows(Collection $orders): Builder
    {
        return DB::table('order_outputs AS b')
            ->join('items AS i', 'i.id', 'b.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->whereIn('b.order_id', $orders)
            ->where('b.position', '>', OrderOutput::PRODUCT)
            ->orderBy('b.order_id')
            ->orderBy('b.position')
            ->select(['b.*', 'i.name AS item', 'i.number AS item_number', 'i.tracking', 'u.code AS unit', 'u.decimals'])
            ->selectRaw('(SELECT COALESCE(SUM(t.quantity), 0) FROM ties t WHERE t.output_id = b.id) AS promised')
            ->selectRaw('(SELECT COALESCE(SUM(IF(m.reverses_id IS NULL, m.quantity, -m.quantity)), 0) FROM moves m'
                ." WHERE m.output_id = b.id AND m.scrap_class <> '') AS scrapped");
    }
}
