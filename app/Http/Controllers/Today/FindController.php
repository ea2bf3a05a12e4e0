<?php

namespace App\Http\Controllers\Today;

use App\Http\Controllers\Controller;
use App\Queries\Find;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The find-or-scan box: goes there when it is one thing, lists what it may be otherwise. */
class FindController extends Controller
{
    public function index(Request $request): View|RedirectResponse
    {
        $text = mb_substr($request->string('q')->trim()->value(), 0, 80);
        $found = Find::anything($text);
        if ($this->wantsPart($request)) {
            return view('parts.found', ['found' => $found->take(10), 'text' => $text]);
        }
        $exact = $found->where('exact', true);
        if ($exact->count() === 1 || $found->count() === 1) {
            return redirect(($exact->first() ?? $found->firstOrFail())->url);
        }

        return view('find', ['found' => $found, 'text' => $text]);
    }
}
