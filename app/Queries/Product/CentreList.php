<?php

namespace App\Queries\Product;

use App\Reading\Row;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** All work centres. */
final class CentreList
{
    /** @return Collection<int, ListedCentre> */
    public static function all(): Collection
    {
        $people = '(SELECT COUNT(*) FROM people p WHERE p.work_centre_id = w.id AND p.is_there)';
        $steps = "(SELECT COUNT(*) FROM routing_steps s JOIN routings r ON r.id = s.routing_id
            WHERE s.work_centre_id = w.id AND r.status = 'approved')";

        return Row::all(
            DB::table('work_centres AS w')
                ->join('calendars AS c', 'c.id', 'w.calendar_id')
                ->orderBy('w.code')
                ->select(['w.*', 'c.code AS calendar'])
                ->selectRaw("{$people} AS people, {$steps} AS steps"),
            ListedCentre::from(...),
        );
    }
}
