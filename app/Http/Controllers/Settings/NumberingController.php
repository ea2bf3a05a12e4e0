<?php

namespace App\Http\Controllers\Settings;

use App\Actions\Settings\KeepNumberings;
use App\Http\Controllers\Controller;
use App\Http\Requests\Settings\NumberingsRequest;
use Illuminate\Http\RedirectResponse;

/** How documents are numbered. */
class NumberingController extends Controller
{
    public function update(NumberingsRequest $request, KeepNumberings $keep): RedirectResponse
    {
        return $this->done(back(), $keep->handle($request->numberings(), $request->signed()));
    }
}
