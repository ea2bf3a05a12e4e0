<?php

namespace App\Queries\Bookings;

use App\Reading\Cut;
use App\Reading\Row;
use Illuminate\Support\Facades\DB;

/** A field of product data that a booking changed. */
final readonly class BookedChange
{
    private const SHOWN = 300;

    private function __construct(
        public string $record,
        public string $field,
        public string $before,
        public string $after,
    ) {
    }

    /** @return Cut<self>  the first of what a booking changed */
    public static function of(int $booking): Cut
    {
        $query = DB::table('product_changes')->where('booking_id', $booking)->orderBy('id');

        return Cut::read($query, self::SHOWN, fn (Row $row): self => new self(
            $row->text('record'),
            $row->text('field'),
            $row->text('before'),
            $row->text('after'),
        ));
    }
}
