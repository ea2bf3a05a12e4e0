<?php

namespace App\Http\Controllers\Board;

use App\Queries\Board\DispatchList;
use Illuminate\Http\Request;

/** The dispatch list that is asked for: of which machine or person, and how many days of it. */
trait OfDispatch
{
    private const DAYS = 7;

    private function list(Request $request, int $centre): DispatchList
    {
        $days = $request->integer('days');

        return DispatchList::of(
            $centre,
            $request->integer('machine') ?: null,
            $request->integer('person') ?: null,
            array_key_exists($days, DispatchList::spans()) ? $days : self::DAYS,
        );
    }
}
