<?php

namespace App\Queries\Board;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Dates that are held, soonest to lapse first. */
final class PromiseList
{
    /** @return Collection<int, \stdClass> */
    public static function held(): Collection
    {
        return DB::table('promises AS p')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->join('units AS u', 'u.id', 'i.unit_id')
            ->join('people AS b', 'b.id', 'p.user_id')
            ->whereNull('p.released_at')
            ->where('p.held_until', '>', now())
            ->orderBy('p.held_until')
            ->get([
                'p.id',
                'p.quantity',
                'p.for',
                'p.finish_at',
                'p.held_until',
                'i.name',
                'i.number',
                'u.code AS unit',
                'b.name AS person',
            ]);
    }
}
