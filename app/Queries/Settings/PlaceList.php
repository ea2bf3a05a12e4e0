<?php

namespace App\Queries\Settings;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use KeepPace\Core\Stock\PlaceKind;

/** A place of the stores in the list of all. */
final readonly class PlaceList
{
    /** @param  int  $items  that lie there */
    private function __construct(
        public int $id,
        public int $version,
        public string $code,
        public string $name,
        public bool $isRetired,
        public int $items,
    ) {
    }

    /** @return Collection<int, self> */
    public static function all(): Collection
    {
        $items = '(SELECT COUNT(DISTINCT b.item_id) FROM balances b WHERE b.place_id = p.id AND b.quantity > 0)';

        return Row::all(
            DB::table('places AS p')
                ->where('p.kind', PlaceKind::Store->value)
                ->orderBy('p.id')
                ->select('p.*')
                ->selectRaw("{$items} AS items"),
            fn (Row $row): self => new self(
                $row->int('id'),
                $row->int('version'),
                $row->text('code'),
                $row->text('name'),
                $row->textOrNull('retired_at') !== null,
                $row->int('items'),
            ),
        );
    }
}
