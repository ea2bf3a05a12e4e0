<?php

namespace App\Queries;

use App\Wording\When;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What was changed in product data, newest first: by page or by file, in one trail. */
final class ProductTrail
{
    /**
     * @param  string  $kind  its table, such as items
     * @return Collection<int, ProductChange>
     */
    public static function of(string $kind, int $record): Collection
    {
        return DB::table('product_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.user_id')
            ->where('c.kind', $kind)
            ->where('c.record_id', $record)
            ->orderByDesc('c.id')
            ->limit(30)
            ->get(['c.field', 'c.before', 'c.after', 'c.booking_id', 'b.entered_at', 'u.name AS person'])
            ->map(fn (\stdClass $row): ProductChange => new ProductChange(
                $row->booking_id,
                When::say($row->entered_at),
                $row->person,
                $row->field,
                $row->before === '' ? 'nothing' : $row->before,
                $row->after === '' ? 'nothing' : $row->after,
            ));
    }
}
