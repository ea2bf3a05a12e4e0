<?php

namespace App\Http\Controllers\Purchasing;

use App\Http\Controllers\Controller;
use App\Models\Supplier;
use App\Queries\Shortages\ShortageList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Shortages over all orders, by item or by order, each with its cures. */
class ShortageController extends Controller
{
    public function index(Request $request): View
    {
        $list = ShortageList::now();
        $items = $list->byItem();
        $isByOrder = $request->query('by') === 'order';

        return view('shortages.index', [
            'list' => $list,
            'items' => $items,
            'by' => $isByOrder ? 'order' : 'item',
            'shown' => ShortageList::cut($isByOrder ? $list->byOrder() : $items, $request->query('all') === '1'),
            'suppliers' => Supplier::offered(),
        ]);
    }
}
