<?php

namespace App\Http\Controllers\Product;

use App\Http\Controllers\Controller;
use App\Queries\Product\OfferedItem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Items to choose from while typing. */
class ItemChoiceController extends Controller
{
    public function index(Request $request): View
    {
        $text = mb_substr($request->string('q')->trim()->value(), 0, 60);

        return view('parts.items', ['items' => OfferedItem::like($text)]);
    }
}
