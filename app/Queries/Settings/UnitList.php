<?php

namespace App\Queries\Settings;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** A unit in the list of all. */
final readonly class UnitList
{
    /** @param  int  $items  counted in it */
    private function __construct(
        public int $id,
        public int $version,
        public string $code,
        public string $name,
        public int $decimals,
        public string $rec20,
        public int $items,
    ) {
    }

    /** @return Collection<int, self> */
    public static function all(): Collection
    {
        $items = '(SELECT COUNT(*) FROM items i WHERE i.unit_id = u.id) '
            .'+ (SELECT COUNT(*) FROM item_units o WHERE o.unit_id = u.id)';

        return Row::all(
            DB::table('units AS u')->orderBy('u.id')->select('u.*')->selectRaw("{$items} AS items"),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->int('version'),
                $row->text('code'),
                $row->text('name'),
                $row->int('decimals'),
                $row->text('rec20'),
                $row->int('items'),
            ),
        );
    }
}
