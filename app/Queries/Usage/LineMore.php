<?php

namespace App\Queries\Usage;

use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** What is seldom needed of a line of a usage slip, read when it is opened. */
final readonly class LineMore
{
    private function __construct(
        public int $id,
        public string $reason,
        public string $item,
        public string $order,
    ) {
    }

    public static function find(int $slip, int $line): ?self
    {
        $query = DB::table('slip_lines AS l')
            ->join('items AS i', 'i.id', 'l.item_id')
            ->join('orders AS o', 'o.id', 'l.order_id')
            ->where('l.slip_id', $slip)
            ->where('l.id', $line)
            ->select(['l.id', 'l.reason', 'i.name AS item', 'o.number AS order']);

        return Row::first($query, fn (Row $row): self => new self(
            $row->int('id'),
            $row->text('reason'),
            $row->text('item'),
            $row->text('order'),
        ));
    }
}
