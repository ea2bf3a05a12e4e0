<?php

namespace App\Http\Controllers\Settings;

use App\Actions\Settings\KeepReasons;
use App\Http\Controllers\Controller;
use App\Http\Requests\Settings\ReasonsRequest;
use Illuminate\Http\RedirectResponse;

/** Reasons that are offered. */
class ReasonController extends Controller
{
    public function update(ReasonsRequest $request, KeepReasons $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->reasons(), $request->signed()));
    }
}
