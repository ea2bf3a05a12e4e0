<?php

namespace App\Http\Controllers\Board;

use App\Http\Controllers\Controller;
use App\Papers\CalendarFile;
use App\Queries\Board\DispatchList;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A dispatch list for a calendar program, which cannot log in: the address is signed and lasts. */
class DispatchFeedController extends Controller
{
    public function show(Request $request, int $centre): Response
    {
        return response(
            CalendarFile::schedule(
                DispatchList::of(
                    $centre,
                    $request->integer('machine') ?: null,
                    $request->integer('person') ?: null,
                    60,
                ),
            ),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8'],
        );
    }
}
