<?php

namespace App\Http\Controllers\Board;

use App\Actions\Schedule\MoveStep;
use App\Books\JustBooked;
use App\Http\Controllers\Controller;
use App\Http\Requests\Board\MoveRequest;
use App\Http\Requests\DeedRequest;
use App\Models\Booking;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A step of a plan, put elsewhere or let go of. */
class PlannedStepController extends Controller
{
    use OfPlan;

    public function store(MoveRequest $request, int $step, MoveStep $move): JsonResponse|RedirectResponse
    {
        return $this->answer(
            $request,
            $move->handle(
                $this->plan($request),
                $request->put($step),
                $request->boolean('pin'),
                $request->seen(),
                $request->signed(),
            ),
        );
    }

    public function destroy(DeedRequest $request, int $step, MoveStep $move): JsonResponse|RedirectResponse
    {
        return $this->answer(
            $request,
            $move->unpin(
                $this->plan($request),
                $step,
                $request->filled('seen') ? $request->integer('seen') : null,
                $request->signed(),
            ),
        );
    }

    private function answer(Request $request, Booking $booking): JsonResponse|RedirectResponse
    {
        return $request->expectsJson()
            ? response()->json(['says' => trim($booking->says.' '.app(JustBooked::class)->behind)])
            : $this->done(back(), $booking);
    }
}
