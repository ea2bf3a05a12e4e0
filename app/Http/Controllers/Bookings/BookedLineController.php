<?php

namespace App\Http\Controllers\Bookings;

use App\Actions\Bookings\ReverseLines;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\ReverseLinesRequest;
use Illuminate\Http\RedirectResponse;

/** Some lines of a booking are taken back. */
class BookedLineController extends Controller
{
    public function destroy(ReverseLinesRequest $request, int $booking, ReverseLines $reverse): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $reverse->handle(
                $booking,
                array_map(intval(...), array_values($typed['moves'])),
                $request->signed($typed['reason']),
            ),
        );
    }
}
