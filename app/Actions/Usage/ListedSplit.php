<?php

namespace App\Actions\Usage;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A place on a pick list: a lot, or some of an item. */
final readonly class ListedSplit
{
    private function __construct(
        public int $id,
        public string $code,
        public int $itemId,
        public string $item,
        public bool $isPicked,
    ) {
    }

    /** @return Collection<int, self>  of a slip */
    public static function of(int $slip): Collection
    {
        return Row::all(
            DB::table('slip_splits AS s')
                ->join('slip_lines AS l', 'l.id', 's.slip_line_id')
                ->join('items AS i', 'i.id', 'l.item_id')
                ->where('l.slip_id', $slip)
                ->where('l.is_out', false)
                ->orderBy('l.position')
                ->orderBy('s.id')
                ->select(['s.id', 's.code', 's.is_picked', 'l.item_id', 'i.number']),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->text('code'),
                $row->int('item_id'),
                $row->text('number'),
                $row->flag('is_picked'),
            ),
        );
    }
}
