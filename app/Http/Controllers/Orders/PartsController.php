<?php

namespace App\Http\Controllers\Orders;

use App\Http\Controllers\Controller;
use App\Queries\Orders\PartsList;
use App\Queries\Orders\PartsPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Readiness part by part, of chosen orders or of all. */
class PartsController extends Controller
{
    public function index(Request $request): View
    {
        $chosen = array_values(
            array_filter(array_map(intval(...), array_filter((array) $request->query('orders', []), is_string(...)))),
        );
        $show = in_array($request->query('show'), ['waits', 'stuck'], true) ? (string) $request->query('show') : 'open';

        $cut = PartsList::of($chosen, $show);

        return view('orders.parts', [
            'page' => new PartsPage($chosen, $show, $cut),
            'cut' => $cut,
        ]);
    }
}
