<?php

namespace App\Http\Controllers\Bookings;

use App\Actions\Stock\AddLateCost;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bookings\LateCostRequest;
use Brick\Math\BigDecimal;
use Illuminate\Http\RedirectResponse;

/** What a receipt cost beside its price, known later. */
class LateCostController extends Controller
{
    public function store(LateCostRequest $request, int $booking, AddLateCost $add): RedirectResponse
    {
        $typed = $request->validated();

        return $this->done(
            back(),
            $add->handle(
                $booking,
                BigDecimal::of($typed['amount'])->multipliedBy(100)->toInt(),
                $request->signed($typed['reason']),
                $request->by(),
            ),
        );
    }
}
