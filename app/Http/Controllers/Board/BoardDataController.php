<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Queries\Board\BoardData;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The plan's data alone, for the board's script. */
class BoardDataController extends Controller
{
    use OfPlan;

    public function show(Request $request): JsonResponse
    {
        return response()->json(BoardData::of($this->plan($request)));
    }
}
