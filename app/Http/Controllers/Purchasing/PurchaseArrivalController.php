<?php

namespace App\Http\Controllers\Purchasing;

use App\Actions\Purchasing\ChangePurchase;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\ArrivalRequest;
use Illuminate\Http\RedirectResponse;

/** When what was bought comes. */
class PurchaseArrivalController extends Controller
{
    public function update(ArrivalRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $booking = match ($request->answer()) {
            'day' => $change->expected(
                $line,
                $request->on(),
                $request->signed($request->reason()),
            ),
            'again' => $change->askAgain(
                $line,
                $request->on(),
                $request->signed($request->reason()),
            ),
            'never' => $change->giveUp($line, $request->signed($request->reason())),
        };

        return $this->done(back(), $booking);
    }
}
