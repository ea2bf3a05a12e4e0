<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Outside\SettleLeft;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\LeftRequest;
use Illuminate\Http\RedirectResponse;

/** What becomes of a part of ours that is left at a supplier. */
class LeftController extends Controller
{
    public function update(LeftRequest $request, int $question, SettleLeft $settle): RedirectResponse
    {
        return $this->done(back(), $settle->handle($question, $request->left(), $request->signed()));
    }
}
