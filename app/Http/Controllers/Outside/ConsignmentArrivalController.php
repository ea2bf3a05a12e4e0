<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\ChangeBack;
use App\Http\Controllers\Controller;
use App\Http\Requests\Purchasing\ArrivalRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** When pieces at a supplier come back. */
class ConsignmentArrivalController extends Controller
{
    public function update(
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
