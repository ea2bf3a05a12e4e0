<?php

namespace App\Http\Controllers\Product;

use App\Http\Controllers\Controller;
use App\Queries\Product\DraftList;
use Illuminate\Contracts\View\View;

/** Drafts that wait to be approved. */
class DraftController extends Controller
{
    public function index(): View
    {
        return view('product.drafts', ['drafts' => DraftList::all()]);
    }
}
