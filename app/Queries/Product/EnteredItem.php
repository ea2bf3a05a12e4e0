<?php

namespace App\Queries\Product;

use App\Models\Booking;
use Illuminate\Support\Facades\DB;

/** The item a booking entered, however often its form was sent. */
final class EnteredItem
{
    public static function by(Booking $booking): int
    {
        $id = DB::table('product_changes')
            ->where('booking_id', $booking->id)
            ->where('kind', 'items')
            ->where('field', 'item')
            ->value('record_id');

        return is_numeric($id) ? (int) $id : throw new \LogicException("Booking {$booking->id} entered no item.");
    }
}
