<?php

namespace App\Http\Controllers\Outside;

use App\Actions\Purchasing\AnswerOver;
use App\Http\Controllers\Controller;
use App\Http\Requests\Outside\OverRequest;
use Illuminate\Http\RedirectResponse;

/** What becomes of more than was ordered. */
class OverController extends Controller
{
    public function update(OverRequest $request, int $question, AnswerOver $answer): RedirectResponse
    {
        return $this->done(back(), $answer->handle($question, $request->answer(), $request->signed()));
    }
}
