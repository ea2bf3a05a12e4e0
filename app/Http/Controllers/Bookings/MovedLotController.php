<?php

namespace App\Http\Controllers\Bookings;

use App\Actions\Usage\CorrectLot;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\CorrectLotRequest;
use Illuminate\Http\RedirectResponse;

/** The lot of a move is another. */
class MovedLotController extends Controller
{
    public function store(CorrectLotRequest $request, int $move, CorrectLot $correct): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $correct->handle(
                $move,
                $typed['code'],
                $typed['quantity'] ?? null,
                $request->signed($typed['reason']),
            ),
        );
    }
}
