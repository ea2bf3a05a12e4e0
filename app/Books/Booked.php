<?php

namespace App\Books;

use App\Models\Booking;

/**
 * Something was booked; told after its transaction. It only wakes who follows what is booked: it may be lost, doubled
 * or come late without harm, for what is not planned yet stands in `unplanned`.
 */
final readonly class Booked
{
    public function __construct(public Booking $booking)
    {
    }
}
