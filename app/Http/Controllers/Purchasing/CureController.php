<?php

namespace App\Http\Controllers\Purchasing;

use App\Http\Controllers\Controller;
use App\Queries\Shortages\ShortageList;
use App\Shop\MayStandIn;
use Illuminate\Contracts\View\View;

/** What could be done about an item that is missing. */
class CureController extends Controller
{
    public function index(int $item): View
    {
        $list = ShortageList::now();

        return view('shortages.cures', [
            'list' => $list,
            'item' => $list->byItem()->firstWhere('id', $item),
            'substitutes' => MayStandIn::today($item),
        ]);
    }
}
