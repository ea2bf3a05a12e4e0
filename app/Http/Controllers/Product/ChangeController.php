<?php

namespace App\Http\Controllers\Product;

use App\Http\Controllers\Controller;
use App\Queries\Product\ChangeList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** All that was changed of product data. */
class ChangeController extends Controller
{
    public function index(Request $request): View
    {
        return view('product.changes', ['list' => ChangeList::of($request)]);
    }
}
