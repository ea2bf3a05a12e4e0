<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\ComesBack;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\BackRequest;
use App\Queries\Outside\AtSuppliers;
use App\Queries\Outside\ComponentAlong;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is with suppliers, and what comes back from them. */
class OutsideController extends Controller
{
    public function index(Request $request): View
    {
        $by = (string) $request->string('by');

        return view('outside.index', [
            'page' => AtSuppliers::by(array_key_exists($by, AtSuppliers::BY) ? $by : 'supplier'),
        ]);
    }

    /** The form in which what came back of one step is counted. */
    public function edit(int $step): View
    {
        return view('outside.back', [
            'row' => AtSuppliers::step($step) ?? abort(404, 'All of it is back.'),
            'along' => ComponentAlong::at($step),
        ]);
    }

    public function store(BackRequest $request, int $step, ComesBack $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($step, $request->back(), $request->signed()));
    }
}
