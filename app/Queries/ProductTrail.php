<?php

namespace App\Queries;

use App\Reading\Row;
use App\Wording\FieldWords;
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
        $changes = DB::table('product_changes AS c')
            ->join('bookings AS b', 'b.id', 'c.booking_id')
            ->join('people AS u', 'u.id', 'b.person_id')
            ->where('c.kind', $kind)
            ->where('c.record_id', $record)
            ->orderByDesc('c.id')
            ->limit(30)
            ->select(['c.field', 'c.before', 'c.after', 'c.booking_id', 'b.entered_at', 'u.name AS person']);

        return Row::all($changes, fn (Row $row): ProductChange => new ProductChange(
            $row->int('booking_id'),
            When::say($row->text('entered_at')),
            $row->text('person'),
            FieldWords::of($row->text('field')),
            FieldWords::of($row->text('before')),
            FieldWords::of($row->text('after')),
        ));
    }
}
