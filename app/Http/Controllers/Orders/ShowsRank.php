<?php

namespace App\Http\Controllers\Orders;

use App\Queries\Orders\PaceStrips;
use App\Queries\Orders\RankedOrder;
use App\View\RankEffect;
use Illuminate\Contracts\View\View;

/** The page of the rank, with or without what another would do. */
trait ShowsRank
{
    private function page(?RankEffect $effect): View
    {
        $rows = RankedOrder::all();

        return view('rank.index', [
            'rows' => $rows,
            'strips' => PaceStrips::for(collect($rows)->pluck('order')),
            'effect' => $effect,
        ]);
    }
}
