<?php

namespace App\Queries\Board;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Dates that are held, soonest to lapse first. */
final class PromiseList
{
    /** @return Collection<int, HeldDate> */
    public static function held(): Collection
    {
        $held = DB::table('promises AS p')
            ->join('items AS i', 'i.id', 'p.item_id')
            ->join('people AS b', 'b.id', 'p.person_id')
            ->whereNull('p.released_at')
            ->where('p.held_until', '>', now())
            ->orderBy('p.held_until')
            ->orderBy('p.id')
            ->select(['p.id', 'p.quantity', 'p.for', 'p.finish_at', 'p.held_until', 'i.name', 'i.number'])
            ->addSelect('b.name AS person');

        return Row::all($held, HeldDate::from(...));
    }
}
