<?php

namespace App\Queries\Product;

use App\Reading\Like;
use App\Reading\Row;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** An item that is offered while somebody types; what is made here comes first. */
final readonly class OfferedItem
{
    private const MOST = 30;

    private function __construct(public string $number, public string $name, public string $unit)
    {
    }

    /** @return Collection<int, self>  whose number or name has the text in it */
    public static function like(string $text): Collection
    {
        $query = DB::table('items AS i')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->whereNull('i.retired_at')
            ->where(fn (Builder $any): Builder => $any
                ->where('i.number_key', 'like', Like::insideKey($text))
                ->orWhere('i.name', 'like', Like::inside($text)))
            ->orderByRaw("i.kind NOT IN ('assembled', 'made')")
            ->orderBy('i.number')
            ->limit(self::MOST)
            ->select(['i.number', 'i.name', 'u.code AS unit']);

        return Row::all($query, fn (Row $row): self => new self(
            $row->text('number'),
            $row->text('name'),
            $row->text('unit'),
        ));
    }
}
