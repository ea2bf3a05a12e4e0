<?php

namespace App\Http\Controllers;

use App\Actions\Outside\ChangeBack;
use App\Actions\Purchasing\ChangePurchase;
use App\Http\Requests\ArrivalRequest;
use App\Models\PurchaseLine;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** The answer to 'when does it come?': a day, nobody knows, or no more. */
class ArrivalController extends Controller
{
    public function purchase(ArrivalRequest $request, int $line, ChangePurchase $change): RedirectResponse
    {
        $purchase = PurchaseLine::query()->findOrFail($line);
        $booking = match ($request->answer()) {
            'day' => $change->date(
                $line,
                $request->on(),
                $purchase->asked_for,
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

    /** The board asks for JSON. */
    public function consignment(
        ArrivalRequest $request,
        int $line,
        ChangeBack $change,
    ): RedirectResponse|JsonResponse {
        $booking = $request->answer() === 'again'
            ? $change->askAgain($line, $request->on(), $request->signed($request->reason()))
            : $change->date($line, $request->on(), $request->signed($request->reason()));

        return $request->expectsJson()
            ? response()->json(['says' => $booking->says, 'booking' => $booking->id])
            : $this->done(back(), $booking);
    }
}
