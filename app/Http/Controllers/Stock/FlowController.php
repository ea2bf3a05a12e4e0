<?php

namespace App\Http\Controllers\Stock;

use App\Http\Controllers\Controller;
use App\Queries\Flow\FlowList;
use App\Queries\Flow\FlowPage;
use Illuminate\Contracts\View\View;

/** What comes and goes of items, by date. */
class FlowController extends Controller
{
    public function index(): View
    {
        return view('flow.index', ['items' => FlowList::now()]);
    }

    public function show(int $item): View
    {
        $page = FlowPage::of($item);

        return view('flow.show', ['page' => $page, 'drawing' => $page->drawing()]);
    }
}
