<?php

namespace App\Queries\Orders;

use App\Reading\Row;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A purchase line that is bought for one order alone, and goes into its cost. */
final readonly class BoughtAlone
{
    private function __construct(
        public int $purchaseId,
        public string $number,
        public string $words,
        public string $supplier,
        public BigDecimal $quantity,
        public string $unit,
        public bool $isDraft,
        public bool $isOpen,
        public string $expectedOn,
    ) {
    }

    /** @return Collection<int, self> */
    public static function of(int $order): Collection
    {
        $lines = DB::table('purchase_lines AS l')
            ->join('purchase_orders AS o', 'o.id', 'l.purchase_order_id')
            ->join('suppliers AS s', 's.id', 'o.supplier_id')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->where('l.cost_order_id', $order)
            ->whereNull('l.order_step_id')
            ->orderBy('l.id')
            ->select(['l.purchase_order_id', 'l.number', 's.name AS supplier', 'u.code AS unit'])
            ->addSelect(['l.is_draft', 'l.is_open', 'l.expected_on'])
            ->selectRaw("COALESCE(NULLIF(l.words, ''), i.name) AS words")
            ->selectRaw('l.quantity - l.cancelled_quantity AS quantity');

        return Row::all($lines, fn (Row $row): self => new self(
            $row->int('purchase_order_id'),
            $row->text('number'),
            $row->text('words'),
            $row->text('supplier'),
            $row->decimal('quantity'),
            $row->text('unit'),
            $row->flag('is_draft'),
            $row->flag('is_open'),
            $row->text('expected_on'),
        ));
    }

    /** How far it is, where it is not to come. */
    public function stands(): string
    {
        return match (true) {
            $this->isDraft => 'on a draft',
            $this->quantity->isZero() => 'given up',
            default => 'in',
        };
    }
}
