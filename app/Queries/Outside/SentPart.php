<?php

namespace App\Queries\Outside;

use App\Reading\Named;
use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Outside\Sent;

/** A line of a consignment: a part of ours that went along, and what became of it. */
final readonly class SentPart
{
    private function __construct(
        public int $position,
        public string $item,
        public string $itemNumber,
        public string $unit,
        public string $lot,
        public int $purchaseId,
        public string $line,
        public Sent $amounts,
    ) {
    }

    /** @return Collection<int, self> */
    public static function of(int $consignment): Collection
    {
        $lines = DB::table('consignment_lines AS l')
            ->join('purchase_line_parts AS p', 'p.id', 'l.part_id')
            ->join('purchase_lines AS b', 'b.id', 'p.purchase_line_id')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->leftJoin('lots AS t', Named::on('t.id', 'l.lot_id'))
            ->where('l.consignment_id', $consignment)
            ->orderBy('l.position')
            ->select(['l.position', 'l.sent', 'l.good', 'l.spoiled', 'l.lost', 'l.unworked', 't.code'])
            ->addSelect(['i.name AS item', 'i.number AS item_number', 'u.code AS unit'])
            ->addSelect(['b.purchase_order_id', 'b.number AS line']);

        return Row::all($lines, fn (Row $row): self => new self(
            $row->int('position'),
            $row->text('item'),
            $row->text('item_number'),
            $row->text('unit'),
            $row->textOrNull('code') ?? '',
            $row->int('purchase_order_id'),
            $row->text('line'),
            new Sent(
                $row->decimal('sent'),
                $row->decimal('good'),
                $row->decimal('spoiled'),
                $row->decimal('lost'),
                $row->decimal('unworked'),
            ),
        ));
    }
}
