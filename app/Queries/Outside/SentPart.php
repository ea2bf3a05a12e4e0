<?php

namespace App\Queries\Outside;

use App\Reading\Named;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Sent;

/** A line of a consignment: a part of ours that went along, and what became of it. */
final readonly class SentPart
{
    /** @param  string  $line  number of the purchase line or the order it is for */
    private function __construct(
        public int $position,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $lot,
        private ?int $purchaseId,
        private ?int $orderId,
        public string $line,
        public Sent $amounts,
    ) {
    }

    /** The page of what it is for. */
    public function address(): string
    {
        return $this->purchaseId === null
            ? route('orders.show', (int) $this->orderId)
            : route('purchases.show', $this->purchaseId);
    }

    /** @return Collection<int, self> */
    public static function of(int $consignment): Collection
    {
        return Row::all(self::lines($consignment), fn (Row $row): self => new self(
            $row->int('position'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->textOrNull('code') ?? '',
            $row->intOrNull('purchase_order_id'),
            $row->intOrNull('order_id'),
            $row->text('for_what'),
            new Sent(
                $row->decimal('sent'),
                $row->decimal('good'),
                $row->decimal('spoiled'),
                $row->decimal('lost'),
                $row->decimal('unworked'),
            ),
        ));
    }

    private static function lines(int $consignment): Builder
    {
        return DB::table('consignment_lines AS l')
            ->leftJoin('purchase_line_parts AS p', 'p.id', 'l.part_id')
            ->leftJoin('purchase_lines AS b', 'b.id', 'p.purchase_line_id')
            ->leftJoin('order_components AS c', 'c.id', 'l.component_id')
            ->leftJoin('orders AS o', 'o.id', 'c.order_id')
            ->join('items AS i', fn (JoinClause $join) => $join->whereRaw('i.id = COALESCE(p.item_id, c.item_id)'))
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS t', Named::on('t.id', 'l.lot_id'))
            ->where('l.consignment_id', $consignment)
            ->orderBy('l.position')
            ->select(['l.position', 'l.sent', 'l.good', 'l.spoiled', 'l.lost', 'l.unworked', 't.code'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
            ->addSelect(['b.purchase_order_id', 'c.order_id'])
            ->selectRaw('COALESCE(b.number, o.number) AS for_what');
    }
}
