<?php

namespace App\Http\Controllers\Bookings;

use App\Http\Controllers\Controller;
use App\Papers\HandedOnLabels;
use App\Queries\Bookings\HandedOnRow;
use Illuminate\Http\Response;

/** Labels of what came in by a booking. */
class BookingLabelController extends Controller
{
    public function show(int $booking): Response
    {
        $rows = HandedOnRow::of($booking);
        abort_if($rows->isEmpty(), 404);

        return $this->paperNamed("labels-{$booking}", HandedOnLabels::pdf($booking, $rows));
    }
}
