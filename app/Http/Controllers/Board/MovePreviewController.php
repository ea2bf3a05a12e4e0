<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Http\Requests\Rules;
use App\Queries\Board\MovePreview;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeepPace\Core\Scheduling\Plan\Put;

/** What a move on the board would do, before it is made. */
class MovePreviewController extends Controller
{
    use OfPlan;

    public function show(Request $request): JsonResponse
    {
        $typed = $request->validate([
            'step' => ['required', ...Rules::id()],
            'centre' => ['required', ...Rules::id()],
            'machine' => ['required', 'integer', 'between:1,999'],
            'minute' => ['required', 'integer', 'between:0,200000000'],
        ]);

        return response()->json(
            MovePreview::of(
                $this->plan($request),
                new Put((int) $typed['step'], (int) $typed['centre'], (int) $typed['machine'], (int) $typed['minute']),
            ),
        );
    }
}
