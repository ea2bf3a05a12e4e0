<?php

namespace App\Http\Controllers;

use App\Actions\Shop\ComesBack;
use App\Http\Requests\ReportRequest;
use Illuminate\Http\RedirectResponse;

/** Steps at suppliers: what comes back. */
class OutsideController extends Controller
{
    public function store(ReportRequest $request, int $step, ComesBack $deed): RedirectResponse
    {
        return $this->done(back(), $deed->handle($step, $request->report(), $request->signed()));
    }
}
