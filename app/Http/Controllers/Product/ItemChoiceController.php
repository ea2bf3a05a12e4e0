<?php

namespace App\Http\Controllers\Product;

use App\Http\Controllers\Controller;
use App\Reading\Like;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Items to choose from while typing. */
class ItemChoiceController extends Controller
{
    public function index(Request $request): View
    {
        $text = mb_substr($request->string('q')->trim()->value(), 0, 60);

        return view('parts.items', ['items' => DB::table('items AS i')->join('units AS u', 'u.id', 'i.unit_id')
            ->whereNull('i.retired_at')
            ->where(
                fn ($any) => $any
                    ->where('i.number_key', 'like', Like::insideKey($text))
                    ->orWhere('i.name', 'like', Like::inside($text)),
            )
            ->orderByRaw("i.kind NOT IN ('assembled', 'made')")->orderBy('i.number')->limit(30)
            ->get(['i.number', 'i.name', 'u.code AS unit', 'i.price'])]);
    }
}
